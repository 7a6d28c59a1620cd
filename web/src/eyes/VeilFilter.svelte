<script lang="ts">
  /** What lies before a screen as a filter: the core's own figures, in linear light (Filter Effects 1). */
  import type { Veil } from '../api/types';

  let { id, veil }: { id: string; veil: Veil } = $props();

  // beyond the edge of the screen there is nothing: what a blur brings in from there is left out by making all opaque
  const matrix = $derived([...veil.matrix, 0, 0, 0, 0, 1].join(' '));
</script>

<svg class="veil" aria-hidden="true">
  <filter {id} x="0" y="0" width="1" height="1" color-interpolation-filters="linearRGB">
    {#if veil.blur > 0}<feGaussianBlur stdDeviation={veil.blur} />{/if}
    <feColorMatrix type="matrix" values={matrix} />
  </filter>
</svg>

<style>
  .veil {
    position: absolute;
    width: 0;
    height: 0;
  }
</style>
