<script lang="ts">
  /** What can be laid in, by kind, as it looks; saved looks last. */
  import * as client from '../api/client';
  import type { Offers } from '../api/types';
  import { useBench } from '../state/context';
  import { addLayer } from './layers';

  let { at, close }: { at: number; close: () => void } = $props();
  const bench = useBench();
  const { doc, edits, selection } = bench;
  const looks = $derived(doc.site?.looks ?? []);

  let kinds = $state.raw<Offers[] | null>(null);
  let failed = $state('');

  function fetchThem(): void {
    const { page, area } = selection;
    if (!page || !area) return;
    failed = '';
    client
      .offers(page.id, area.id)
      .then((found) => (kinds = found))
      .catch(
        (error: unknown) => (failed = error instanceof Error ? error.message : 'It cannot be read now.'),
      );
  }

  $effect(() => {
    if (doc.revision) fetchThem();
  });

  function choose(layer: Record<string, unknown>): void {
    close();
    void addLayer(bench, layer, at);
  }

  function lay(look: string): void {
    close();
    const { page, area } = selection;
    if (page && area)
      void edits.edit({ kind: 'lay-look', page: page.id, area: area.id, look }, (card) =>
        selection.chooseCard(card),
      );
  }
</script>

{#if failed}
  <p role="alert" class="text-error">{failed}</p>
  <button type="button" class="quiet act" onclick={fetchThem}>Try again</button>
{:else}
  <div class="kinds" aria-busy={kinds === null}>
    {#each kinds ?? doc.library?.kinds ?? [] as kind (kind.kind)}
      <div role="group" aria-label={kind.title}>
        <p class="text-small font-semibold">{kind.title}</p>
        <div class="row">
          {#each kinds?.find((k) => k.kind === kind.kind)?.offers ?? [] as offer (offer.name)}
            <button
              type="button"
              class="thumb"
              aria-label={offer.name}
              title={offer.name}
              onclick={() => choose(offer.layer)}><span style={offer.style}></span></button
            >
          {/each}
        </div>
      </div>
    {/each}
    {#if looks.length > 0}
      <div role="group" aria-label="A saved look">
        <p class="text-small font-semibold">A saved look, instead of what is here</p>
        <div class="-ml-2 flex flex-wrap">
          {#each looks as look (look.id)}
            <button type="button" class="quiet act" onclick={() => lay(look.id)}>{look.name}</button>
          {/each}
        </div>
      </div>
    {/if}
  </div>
{/if}

<style>
  .kinds {
    display: flex;
    flex-direction: column;
    gap: 4px;
  }
  .row {
    display: flex;
    gap: 4px;
    /* as high before what there is has come */
    min-height: 36px;
    overflow-x: auto;
    padding: 3px;
    scrollbar-width: thin;
  }
  .thumb {
    width: 46px;
    height: 30px;
    flex: none;
    border: 1px solid var(--color-base-300);
    cursor: pointer;
  }
  .thumb span {
    display: block;
    width: 100%;
    height: 100%;
  }
</style>
