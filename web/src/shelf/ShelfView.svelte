<script lang="ts">
  /** The pictures of the site, its own fonts; the stock stand-in; exact slots. */
  import * as client from '../api/client';
  import type { Picture } from '../api/types';
  import { picturesOf } from '../layers/members';
  import Tabs from '../parts/Tabs.svelte';
  import UploadList from '../settings/UploadList.svelte';
  import Details from './Details.svelte';
  import { filtered, NO_FILTER, type Filter } from './filter';
  import Filters from './Filters.svelte';
  import Fonts from './Fonts.svelte';
  import PictureGrid from './PictureGrid.svelte';
  import Saved from './Saved.svelte';
  import Slots from './Slots.svelte';
  import StockSearch from './StockSearch.svelte';
  import { useBench } from '../state/context';

  const { doc, edits, place, selection, uploads } = useBench();

  type Tab = 'own' | 'fonts' | 'stock' | 'slots' | 'looks';
  const TABS: { id: Tab; name: string }[] = [
    { id: 'own', name: 'Our pictures' },
    { id: 'fonts', name: 'Our fonts' },
    { id: 'stock', name: 'Picture loan' },
    { id: 'slots', name: 'Exact slots' },
    { id: 'looks', name: 'Gradients and looks' },
  ];
  const tab = $derived(TABS.find((t) => t.id === place.tab)?.id ?? 'own');
  const chosen = $derived(place.item || null);
  /** null: not fetched yet. */
  let fetched = $state.raw<Picture[] | null>(null);
  let failed = $state('');
  const pictures = $derived(fetched ?? []);
  let filter = $state.raw<Filter>({ ...NO_FILTER });
  /** Pictures that are picked, in the order in which they were. */
  let picked = $state.raw<string[]>([]);

  const revision = $derived(doc.state?.revision);
  const shown = $derived(filtered(pictures, filter));
  const picture = $derived(pictures.find((p) => p.asset === chosen) ?? null);

  $effect(() => {
    if (revision === undefined) return;
    void fetchAll();
  });

  async function fetchAll(): Promise<void> {
    failed = '';
    try {
      fetched = await client.shelf();
    } catch (error) {
      failed = error instanceof Error ? error.message : 'The shelf cannot be looked at now.';
    }
  }

  function pick(asset: string): void {
    picked = picked.includes(asset) ? picked.filter((one) => one !== asset) : [...picked, asset];
  }

  /** They become one layer of the chosen area, on its pictures and beneath what lies over them. */
  function takeTurns(): void {
    const { page, area } = selection;
    if (!page || !area) return;
    const at = selection.layers.findLastIndex((l) => picturesOf(l).length > 0) + 1;
    const asked = { page: page.id, area: area.id, layer: null, assets: picked, at };
    void edits.edit({ kind: 'take-turns', ...asked }, (card) => {
      picked = [];
      selection.chooseCard(card);
      place.go('bench');
    });
  }

  function bring(event: Event & { currentTarget: HTMLInputElement }): void {
    const files = [...(event.currentTarget.files ?? [])];
    event.currentTarget.value = '';
    void uploads.bring(files, false);
  }
</script>

{#snippet beside()}
  {#if tab === 'own'}
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1"><Filters bind:filter /></div>
    <label class="btn btn-primary ml-auto h-[30px] min-h-0 px-3">
      Bring pictures
      <input
        type="file"
        class="sr-only"
        multiple
        accept="image/jpeg,image/png,image/webp,image/avif,image/gif,image/svg+xml,video/mp4,video/quicktime,video/webm"
        aria-label="Bring pictures to the shelf"
        onchange={bring}
      />
    </label>
  {:else if tab === 'fonts'}
    <label class="btn btn-primary ml-auto h-[30px] min-h-0 px-3">
      Bring fonts
      <input
        type="file"
        class="sr-only"
        multiple
        accept=".woff2,.woff,.ttf,.otf,.ttc,.otc"
        aria-label="Bring fonts to the shelf"
        onchange={bring}
      />
    </label>
  {/if}
{/snippet}

<main class="shelf">
  <h2 class="sr-only">Shelf</h2>
  <Tabs label="Shelf" tabs={TABS} value={tab} choose={(id) => place.turn(id)} {beside}>
    {#if uploads.list.length > 0}
      <div class="max-h-40 shrink-0 overflow-y-auto pb-2"><UploadList {uploads} /></div>
    {/if}
    {#if tab === 'own'}
      <div class="pictures">
        {#if failed}
          <div class="empty">
            <p role="alert" class="text-error">
              {failed}
              <button type="button" class="quiet act" onclick={() => void fetchAll()}>Try again</button>
            </p>
          </div>
        {:else if fetched === null}
          <div class="empty" aria-busy="true"><p class="muted">Looking at the pictures …</p></div>
        {:else if pictures.length === 0}
          <div class="empty">
            <p>
              The shelf is empty. Drop pictures anywhere on this window, bring some, or
              <button type="button" class="quiet act" onclick={() => place.turn('stock')}
                >look at the picture loan</button
              >
            </p>
          </div>
        {:else if shown.length === 0}
          <div class="empty">
            <p>
              None of the {pictures.length} pictures is like that.
              <button type="button" class="quiet act" onclick={() => (filter = { ...NO_FILTER })}
                >Show all</button
              >
            </p>
          </div>
        {:else}
          <div class="flex min-h-0 flex-col gap-2">
            {#if picked.length > 0}
              <div class="flex flex-wrap items-center gap-3" role="status">
                {#if picked.length === 1}<span
                    >One picture is picked; pick another, and they can take turns.</span
                  >
                {:else}
                  <button type="button" class="btn btn-primary h-[30px] min-h-0 px-3" onclick={takeTurns}
                    >Let these {picked.length} take turns behind {selection.area?.name ?? 'the page'}</button
                  >
                {/if}
                <button type="button" class="quiet" onclick={() => (picked = [])}>Pick none</button>
              </div>
            {/if}
            <PictureGrid pictures={shown} {chosen} choose={(id) => place.pick(id)} {picked} {pick} />
          </div>
        {/if}
        <Details {picture} all={pictures} choose={(id) => place.pick(id)} />
      </div>
    {:else if tab === 'stock'}
      <StockSearch
        taken={(id) => {
          place.turn('own');
          place.pick(id);
        }}
      />
    {:else if tab === 'fonts'}
      <Fonts />
    {:else if tab === 'looks'}
      <Saved />
    {:else}
      <Slots />
    {/if}
  </Tabs>
</main>

<style>
  .shelf {
    display: flex;
    flex: 1;
    flex-direction: column;
    min-height: 0;
    padding: 10px 24px 0;
    overflow-y: auto;
  }
  .pictures {
    display: grid;
    flex: 1;
    grid-template-columns: minmax(0, 1fr) 380px;
    gap: 24px;
    min-height: 0;
  }
  @container frame (max-width: 900px) {
    .shelf {
      padding: 8px 16px;
    }
    .pictures {
      grid-template-columns: minmax(0, 1fr);
      flex: none;
    }
    .pictures > :global(:first-child) {
      min-height: 70cqh;
    }
  }
  .empty {
    display: grid;
    place-items: center;
    min-height: 160px;
    border: 1px dashed var(--color-base-300);
  }
</style>
