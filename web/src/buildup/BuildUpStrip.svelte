<script lang="ts">
  import type { Layer } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import AddLayer from './AddLayer.svelte';
  import ContrastLine from './ContrastLine.svelte';
  import { moveLayer, setVisible } from './layers';

  let { bench }: { bench: Bench } = $props();

  const CARD = 122;
  const STEP = 140;
  const LINE = 118;
  const SIZES = {
    cover: 'fills',
    contain: 'whole',
    natural: 'natural',
    stretch: 'stretched',
    own: 'own size',
  };
  let dragged = $state<string | null>(null);

  type Entry = { id: string; name: string; aside: string; layer: Layer | null };
  const entries = $derived<Entry[]>([
    { id: 'base', name: 'Base', aside: bench.area?.backdrop.base ?? 'none', layer: null },
    ...bench.layers.map((layer) => ({ id: layer.id, name: layer.name, aside: aside(layer), layer })),
    { id: 'words', name: 'Words', aside: '', layer: null },
  ]);
  const cards = $derived(bench.buildUp?.cards ?? []);
  const lineOf = $derived(bench.blocks.find((b) => b.id === bench.buildUp?.block)?.wording ?? '');

  function aside(layer: Layer): string {
    if (layer.visible === false) return 'off';
    if (layer.kind === 'image')
      return layer.repeat?.some((r) => r !== 'no-repeat') ? 'tiles' : SIZES[layer.size ?? 'cover'];
    return `${Math.round((layer.opacity ?? 1) * 100)} %`;
  }

  function key(event: KeyboardEvent, entry: Entry): void {
    if (!event.altKey || !entry.layer) return;
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (!by) return;
    event.preventDefault();
    moveLayer(bench, entry.id, bench.layers.findIndex((l) => l.id === entry.id) + by);
  }

  function dropOn(event: DragEvent, entry: Entry): void {
    if (!dragged || !entry.layer || dragged === entry.id) return;
    event.preventDefault();
    moveLayer(
      bench,
      dragged,
      bench.layers.findIndex((l) => l.id === entry.id),
    );
    dragged = null;
  }
</script>

<section
  aria-labelledby="build-up"
  class="min-w-0 overflow-x-auto overflow-y-hidden border-r border-base-300 px-6 pt-3"
>
  <div class="flex items-baseline gap-3 whitespace-nowrap">
    <h2 id="build-up" class="display-face text-[16px]">Build-up</h2>
    <p class="muted truncate">
      as far as each layer{#if lineOf}, and the worst reading of <i
          >{lineOf.slice(0, 40)}{lineOf.length > 40 ? ' …' : ''}</i
        > there{/if}
    </p>
  </div>
  <ol class="flex pt-2" style:gap="{STEP - CARD}px">
    {#each entries as entry, n (entry.id)}
      {@const card = cards.find((c) => c.id === entry.id)}
      <li class="relative shrink-0" style:width="{CARD}px">
        <button
          type="button"
          class="stage"
          class:off={entry.layer?.visible === false}
          aria-pressed={bench.cardId === entry.id}
          aria-label="{entry.name}{entry.layer?.visible === false ? ', switched off' : ''}"
          draggable={entry.layer !== null}
          ondragstart={(e) => {
            dragged = entry.id;
            e.dataTransfer?.setData('text/plain', entry.id);
          }}
          ondragend={() => (dragged = null)}
          ondragover={(e) => dragged && entry.layer && e.preventDefault()}
          ondrop={(e) => dropOn(e, entry)}
          onkeydown={(e) => key(e, entry)}
          onclick={() => bench.chooseCard(entry.id)}
        >
          {#if card}<img src={card.picture} alt="" draggable="false" />{/if}
        </button>
        <div class="flex items-center gap-1 text-[12.5px]">
          <span class="truncate font-semibold">{entry.name}</span>
          <span class="muted ml-auto whitespace-nowrap">{entry.aside}</span>
          {#if entry.layer}
            <button
              type="button"
              class="eye"
              aria-label="{entry.layer.visible === false ? 'Show' : 'Hide'} {entry.name}"
              onclick={() => setVisible(bench, entry.layer as Layer, entry.layer?.visible === false)}
            >
              <svg viewBox="0 0 16 16" aria-hidden="true">
                <circle
                  cx="8"
                  cy="8"
                  r="5.500"
                  fill={entry.layer.visible === false ? 'none' : 'currentColor'}
                />
                <circle cx="8" cy="8" r="5.500" fill="none" stroke="currentColor" stroke-width="1.500" />
              </svg>
            </button>
          {/if}
        </div>
        {#if entry.id !== 'words'}
          <AddLayer {bench} at={n} last={n === entries.length - 2} />
        {/if}
      </li>
    {/each}
  </ol>
  <ContrastLine {cards} required={bench.buildUp?.required ?? null} card={CARD} step={STEP} height={LINE} />
</section>

<style>
  .stage {
    display: grid;
    place-items: center;
    width: 122px;
    height: 76px;
    overflow: hidden;
    cursor: pointer;
    background: color-mix(in oklab, var(--color-base-content) 8%, transparent);
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 25%, transparent);
  }
  .stage img {
    width: 100%;
    height: 100%;
    object-fit: cover;
  }
  .stage[aria-pressed='true'] {
    box-shadow:
      0 0 0 2px var(--color-base-100),
      0 0 0 4px var(--color-primary);
  }
  .off img {
    opacity: 0.45;
  }
  .eye {
    display: grid;
    place-items: center;
    width: 22px;
    height: 24px;
    flex: none;
    cursor: pointer;
  }
  .eye svg {
    width: 11px;
  }
</style>
