<script lang="ts">
  import type { Card } from '../api/types';
  import { heightOf, points } from './line';

  type Props = { cards: Card[]; required: number | null; card: number; step: number; height: number };
  let { cards, required, card, step, height }: Props = $props();

  const MARGIN = 18;
  const dots = $derived(points(cards, step, card, height, MARGIN));
  const level = $derived(required === null ? null : heightOf(required, height, MARGIN));
  const width = $derived(Math.max(1, cards.length) * step + 40);
  const said = $derived(dots.map((d) => `${d.id} ${d.shown}`).join(', '));
</script>

<svg
  {width}
  {height}
  role="img"
  aria-label="Worst reading after each layer: {said}; required {required ?? 'nothing'}"
>
  {#if level !== null}
    <line x1="0" x2={width - 70} y1={level} y2={level} class="level" />
    <text x={width - 64} y={level + 4} class="need">{required} needed</text>
  {/if}
  <polyline points={dots.map((d) => `${d.x},${d.y}`).join(' ')} class="line" />
  {#each dots as dot (dot.id)}
    <g transform="translate({dot.x} {dot.y})" class={dot.meets ? 'text-success' : 'text-warning'}>
      <title>{dot.situation}: {dot.shown}</title>
      {#if dot.meets}
        <circle r="4" fill="currentColor" />
      {:else}
        <path d="M-5-4H5L0 6Z" fill="currentColor" />
      {/if}
      <text x="9" y={dot.meets ? -3 : 13} class="figure">{dot.shown}</text>
    </g>
  {/each}
</svg>

<style>
  svg {
    display: block;
    overflow: visible;
    font-size: var(--text-small);
  }
  .level {
    stroke: var(--color-neutral);
    stroke-dasharray: 5 4;
  }
  .need {
    fill: var(--color-base-content);
  }
  .line {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 1.5;
    opacity: 0.55;
  }
  .figure {
    fill: currentColor;
    font-weight: 700;
  }
</style>
