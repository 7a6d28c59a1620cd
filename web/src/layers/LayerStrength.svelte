<script lang="ts">
  /** How strong a layer is, on a track that is the layer itself; the least strength with which words can be read. */
  import type { Layer } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Strength from '../parts/Strength.svelte';
  import Remedy from '../settings/Remedy.svelte';
  import { keepLayer, showLayer, shownLayer } from './change';

  let { bench, layer, ink }: { bench: Bench; layer: Layer; ink: string } = $props();
  const own = $derived(shownLayer(bench, layer));
  const opacity = $derived(own.opacity ?? 1);
  const overlay = $derived(bench.overlay?.layer === layer.id ? bench.overlay : null);
  const keep = (value: number) =>
    void keepLayer(bench, layer, { opacity: value }, `${layer.name} at ${Math.round(value * 100)} %`);
</script>

<Strength
  label="Strength"
  value={opacity}
  {ink}
  tick={bench.pointed ? null : overlay?.opacity}
  show={(value) => showLayer(bench, layer, { opacity: value })}
  {keep}
/>
{#if layer.kind !== 'image' && bench.words.length > 0 && !bench.pointed}
  <Remedy {overlay} current={opacity} apply={keep} />
{/if}
