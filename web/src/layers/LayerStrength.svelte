<script lang="ts">
  /** How strong a layer is, on a track that is the layer itself; the least strength with which words can be read. */
  import type { Layer } from '../api/types';
  import { picturesOf } from './members';
  import Strength from '../parts/Strength.svelte';
  import Remedy from '../settings/Remedy.svelte';
  import { layerEditor, shownLayer } from './change';
  import { useBench } from '../state/context';

  /** `ink`: what the track is drawn with; without it what the core draws its card's with. */
  let { layer, ink }: { layer: Layer; ink?: string } = $props();
  const bench = useBench();
  const { findings, selection, sight } = bench;
  const to = layerEditor(() => layer);
  const own = $derived(shownLayer(bench, layer));
  const opacity = $derived(own.opacity ?? 1);
  const card = $derived(findings.buildUp?.cards.find((c) => c.id === layer.id));
  const overlay = $derived(findings.overlay?.layer === layer.id ? findings.overlay : null);
  const keep = (value: number) =>
    to.keep({ opacity: value }, `${layer.name} at ${Math.round(value * 100)} %`);
</script>

<Strength
  label="Strength"
  value={opacity}
  ink={ink ?? card?.ink ?? ''}
  tick={sight.pointed ? null : overlay?.opacity}
  show={(value) => to.show({ opacity: value })}
  {keep}
/>
{#if picturesOf(layer).length === 0 && selection.words.length > 0 && !sight.pointed}
  <Remedy {overlay} current={opacity} apply={keep} />
{/if}
