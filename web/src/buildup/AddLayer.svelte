<script lang="ts">
  /** Puts a new layer in at the place where it shall lie: something of every kind, as it looks. */
  import type { Bench } from '../bench/bench.svelte';
  import { KINDS } from '../layers/kinds';
  import { besideOpener } from '../parts/popover';
  import { addLayer } from './layers';

  let { bench, at }: { bench: Bench; at: number } = $props();
  let menu = $state<HTMLElement>();
  let plus = $state<HTMLElement>();
  let open = $state(false);
  let spot = $state({ left: 0, top: 0 });
  const id = $props.id();
  const place = $derived(at === 0 ? 'on the base' : `on ${bench.layers[at - 1]?.name ?? 'the top'}`);
  const WORDS: Record<string, string> = {
    colour: 'A colour',
    image: 'A picture',
    gradient: 'A gradient',
    pattern: 'A pattern',
    shape: 'A silhouette',
    edge: 'A shade along an edge',
  };
  const looks = $derived(bench.site?.looks ?? []);

  function choose(layer: Record<string, unknown>): void {
    menu?.hidePopover();
    void addLayer(bench, layer, at);
  }

  function lay(look: string): void {
    menu?.hidePopover();
    const { page, area } = bench;
    if (page && area)
      void bench.edit({ kind: 'lay-look', page: page.id, area: area.id, look }, (card) =>
        bench.chooseCard(card),
      );
  }
</script>

<button
  type="button"
  bind:this={plus}
  class="add"
  popovertarget={id}
  aria-label="Lay something in {place}"
  title="Lay something in {place}">+</button
>
<div
  {id}
  popover
  bind:this={menu}
  class="offer"
  onbeforetoggle={() => (spot = besideOpener(plus, 560, 380))}
  ontoggle={(e) => (open = e.newState === 'open')}
  style:left="{spot.left}px"
  style:top="{spot.top}px"
>
  {#if open}
    <p class="muted pb-1">Lay in {place}:</p>
    <div class="kinds">
      {#each KINDS as kind (kind.kind)}
        <div role="group" aria-label={WORDS[kind.kind] ?? kind.name}>
          <p class="text-[12.5px] font-semibold">{WORDS[kind.kind] ?? kind.name}</p>
          <div class="row">
            {#each kind.offers(bench) as offer (offer.name)}
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
          <p class="text-[12.5px] font-semibold">A saved look, instead of what is here</p>
          <div class="-ml-2 flex flex-wrap">
            {#each looks as look (look.id)}
              <button type="button" class="quiet act" onclick={() => lay(look.id)}>{look.name}</button>
            {/each}
          </div>
        </div>
      {/if}
    </div>
  {/if}
</div>

<style>
  .add {
    position: absolute;
    left: calc(100% + 1px);
    top: 22px;
    width: 16px;
    height: 32px;
    line-height: 1;
    color: var(--color-primary);
    font-size: 17px;
    cursor: pointer;
  }
  .add:hover {
    background: color-mix(in oklab, var(--color-primary) 14%, transparent);
  }
  .kinds {
    display: flex;
    flex-direction: column;
    gap: 4px;
    width: 536px;
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
