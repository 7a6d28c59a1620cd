<script lang="ts">
  /** Puts a new layer in at the place where it shall lie: something of every kind, as it looks. */
  import Plus from '@lucide/svelte/icons/plus';
  import { KINDS } from '../layers/kinds';
  import Panel from '../parts/Panel.svelte';
  import { useBench } from '../state/context';
  import { addLayer } from './layers';

  /** `gap` and `middle`: the room beside the card, and where its middle is, px. */
  let { at, gap, middle }: { at: number; gap: number; middle: number } = $props();
  const bench = useBench();
  const { doc, edits, selection } = bench;
  const place = $derived(at === 0 ? 'on the base' : `on ${selection.layers[at - 1]?.name ?? 'the top'}`);
  const looks = $derived(doc.site?.looks ?? []);

  function choose(layer: Record<string, unknown>, close: () => void): void {
    close();
    void addLayer(bench, layer, at);
  }

  function lay(look: string, close: () => void): void {
    close();
    const { page, area } = selection;
    if (page && area)
      void edits.edit({ kind: 'lay-look', page: page.id, area: area.id, look }, (card) =>
        selection.chooseCard(card),
      );
  }
</script>

<Panel name="lay-in-{at}" label="Lay something in {place}" width={562}>
  {#snippet opener(props)}
    <button
      {...props}
      type="button"
      class="add"
      style:top="{middle - 20}px"
      style:width="{gap + 4}px"
      aria-label="Lay something in {place}"
      title="Lay something in {place}"><Plus size={17} aria-hidden="true" /></button
    >
  {/snippet}
  {#snippet children(close)}
    <p class="muted pb-1">Lay in {place}:</p>
    <div class="kinds">
      {#each KINDS as kind (kind.kind)}
        <div role="group" aria-label={kind.title}>
          <p class="text-small font-semibold">{kind.title}</p>
          <div class="row">
            {#each kind.offers(bench) as offer (offer.name)}
              <button
                type="button"
                class="thumb"
                aria-label={offer.name}
                title={offer.name}
                onclick={() => choose(offer.layer, close)}><span style={offer.style}></span></button
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
              <button type="button" class="quiet act" onclick={() => lay(look.id, close)}>{look.name}</button>
            {/each}
          </div>
        </div>
      {/if}
    </div>
  {/snippet}
</Panel>

<style>
  .add {
    position: absolute;
    left: calc(100% - 2px);
    display: grid;
    place-items: center;
    height: 40px;
    color: var(--color-primary);
    cursor: pointer;
  }
  .add:hover {
    background: color-mix(in oklab, var(--color-primary) 14%, transparent);
  }
  .kinds {
    display: flex;
    flex-direction: column;
    gap: 4px;
  }
  .row {
    display: flex;
    gap: 4px;
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
