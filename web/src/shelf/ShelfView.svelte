<script lang="ts">
  /** The pictures of the site; the stock stand-in; exact slots. */
  import * as client from '../api/client';
  import type { Picture } from '../api/types';
  import UploadList from '../settings/UploadList.svelte';
  import Details from './Details.svelte';
  import { filtered, type Filter } from './filter';
  import Filters from './Filters.svelte';
  import PictureGrid from './PictureGrid.svelte';
  import Saved from './Saved.svelte';
  import Slots from './Slots.svelte';
  import StockSearch from './StockSearch.svelte';
  import { useBench } from '../state/context';

  const { doc, notices, uploads } = useBench();

  type Tab = 'own' | 'stock' | 'slots' | 'looks';
  const TABS: { id: Tab; name: string }[] = [
    { id: 'own', name: 'Our pictures' },
    { id: 'stock', name: 'Picture loan' },
    { id: 'slots', name: 'Exact slots' },
    { id: 'looks', name: 'Gradients and looks' },
  ];
  let tab = $state<Tab>('own');
  let pictures = $state.raw<Picture[]>([]);
  let chosen = $state<string | null>(null);
  let filter = $state.raw<Filter>({ word: '', colour: '', shape: '', mood: '' });

  const revision = $derived(doc.state?.revision);
  const shown = $derived(filtered(pictures, filter));
  const picture = $derived(pictures.find((p) => p.asset === chosen) ?? null);

  $effect(() => {
    if (revision === undefined) return;
    client
      .shelf()
      .then((found) => (pictures = found))
      .catch((error: unknown) => notices.tell(error));
  });

  function bring(event: Event & { currentTarget: HTMLInputElement }): void {
    const files = [...(event.currentTarget.files ?? [])];
    event.currentTarget.value = '';
    void uploads.bring(files, false);
  }
</script>

<main class="flex min-h-0 flex-1 flex-col px-6 py-3">
  <div class="flex flex-wrap items-center gap-x-5 gap-y-2 pb-2">
    <h2 class="display-face text-head">Shelf</h2>
    <div class="flex" role="tablist" aria-label="Shelf">
      {#each TABS as { id, name } (id)}
        <button
          type="button"
          role="tab"
          class="tab-name"
          aria-selected={tab === id}
          onclick={() => (tab = id)}>{name}</button
        >
      {/each}
    </div>
    {#if tab === 'own'}
      <Filters bind:filter />
      <label class="btn btn-primary ml-auto h-[30px] min-h-0 px-3">
        Bring pictures
        <input
          type="file"
          class="sr-only"
          multiple
          accept="image/jpeg,image/png,image/webp,image/avif,image/gif,image/svg+xml"
          aria-label="Bring pictures to the shelf"
          onchange={bring}
        />
      </label>
    {/if}
  </div>
  {#if uploads.list.length > 0}
    <div class="max-h-40 shrink-0 overflow-y-auto pb-2"><UploadList {uploads} /></div>
  {/if}
  {#if tab === 'own'}
    <div class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_380px] gap-6">
      {#if pictures.length === 0 && doc.state}
        <div class="empty">
          <p>The shelf is empty. Drop pictures anywhere on this window, or look at the picture loan.</p>
        </div>
      {:else if shown.length === 0}
        <div class="empty">
          <p>
            None of the {pictures.length} pictures is like that.
            <button
              type="button"
              class="quiet act"
              onclick={() => (filter = { word: '', colour: '', shape: '', mood: '' })}>Show all</button
            >
          </p>
        </div>
      {:else}
        <PictureGrid pictures={shown} {chosen} choose={(id) => (chosen = id)} />
      {/if}
      <Details {picture} all={pictures} choose={(id) => (chosen = id)} />
    </div>
  {:else if tab === 'stock'}
    <StockSearch
      taken={(id) => {
        chosen = id;
        tab = 'own';
      }}
    />
  {:else if tab === 'looks'}
    <Saved />
  {:else}
    <Slots />
  {/if}
</main>

<style>
  .tab-name {
    min-height: 30px;
    padding: 0 10px;
    border-bottom: 2px solid transparent;
    cursor: pointer;
  }
  .tab-name[aria-selected='true'] {
    border-color: var(--color-primary);
    font-weight: 600;
  }
  .empty {
    display: grid;
    place-items: center;
    border: 1px dashed var(--color-base-300);
  }
</style>
