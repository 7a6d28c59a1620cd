<script lang="ts">
  /** One card of the build-up: the picture as far as a layer, its name, its strength, whether it is switched on. */
  import type { Card, Layer } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import { keepLayer, showLayer, shownLayer } from '../layers/change';
  import { kindOf } from '../layers/kinds';
  import { setVisible } from './layers';

  type Props = {
    bench: Bench;
    id: string;
    name: string;
    aside: string;
    layer: Layer | null;
    card: Card | undefined;
    below: boolean;
    events: Record<string, unknown>;
  };
  let { bench, id, name, aside, layer, card, below, events }: Props = $props();

  const off = $derived(layer?.visible === false);
  const opacity = $derived(layer ? (shownLayer(bench, layer).opacity ?? 1) : 1);
  let timer: ReturnType<typeof setTimeout> | undefined;

  function settle(value: number): void {
    clearTimeout(timer);
    if (layer)
      void keepLayer(bench, layer, { opacity: value }, `${layer.name} at ${Math.round(value * 100)} %`);
  }
</script>

<button
  type="button"
  class="stage"
  class:off
  class:below
  aria-pressed={!below && bench.cardId === id}
  aria-label="{name}{off ? ', switched off' : ''}{below ? ', of an area below' : ''}"
  draggable={layer !== null}
  {...events}
>
  {#if card}<img src={card.picture} alt="" draggable="false" />{/if}
</button>
{#if layer}
  <div class="strength" style:--at="{opacity * 100}%">
    <div style:background={kindOf(layer).ink(layer)}></div>
    <input
      type="range"
      min="0"
      max="100"
      value={Math.round(opacity * 100)}
      aria-label="Strength of {name}"
      title="Strength: {Math.round(opacity * 100)} %"
      oninput={(e) => showLayer(bench, layer, { opacity: Number(e.currentTarget.value) / 100 })}
      onchange={(e) => {
        const value = Number(e.currentTarget.value) / 100;
        clearTimeout(timer);
        timer = setTimeout(() => settle(value), 200);
      }}
    />
  </div>
{:else}
  <div class="h-[9px]"></div>
{/if}
<div class="flex min-h-6 items-center gap-1 text-[12.5px]" class:opacity-70={below}>
  <span class="truncate font-semibold">{name}</span>
  <span class="muted ml-auto whitespace-nowrap">{aside}</span>
  {#if layer}
    <button
      type="button"
      class="eye"
      aria-label="{off ? 'Show' : 'Hide'} {name}"
      onclick={() => setVisible(bench, layer, off)}
    >
      <svg viewBox="0 0 16 16" aria-hidden="true">
        <circle cx="8" cy="8" r="5.500" fill={off ? 'none' : 'currentColor'} />
        <circle cx="8" cy="8" r="5.500" fill="none" stroke="currentColor" stroke-width="1.500" />
      </svg>
    </button>
  {/if}
</div>

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
  .off img,
  .below img {
    opacity: 0.45;
  }
  .strength {
    position: relative;
    margin: 3px 0 6px;
    height: 9px;
    padding-top: 4px;
    background: color-mix(in oklab, var(--color-base-content) 22%, transparent) content-box;
  }
  .strength div {
    height: 5px;
    mask: linear-gradient(to right, black var(--at), transparent var(--at));
  }
  .strength input {
    position: absolute;
    inset: -3px 0 -6px;
    width: 100%;
    margin: 0;
    opacity: 0;
    cursor: ew-resize;
  }
  .strength:has(:focus-visible) {
    outline: 2px solid var(--color-primary);
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
