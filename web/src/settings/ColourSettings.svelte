<script lang="ts">
  import type { ColourLayer, Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import ColourField from '../parts/ColourField.svelte';
  import Strength from '../parts/Strength.svelte';
  import Remedy from './Remedy.svelte';

  let { bench, layer }: { bench: Bench; layer: ColourLayer } = $props();

  const overlay = $derived(bench.overlay?.layer === layer.id ? bench.overlay : null);
  const set = (field: string, value: unknown): Operation[] => [
    { op: 'replace', path: `${bench.layerPath(layer.id)}/${field}`, value },
  ];
  const strengthLabel = (value: number) => `${layer.name} at ${Math.round(value * 100)} %`;
</script>

<div class="flex flex-col gap-3 pt-1">
  <Strength
    label="Strength"
    value={layer.opacity ?? 1}
    colour={layer.colour}
    tick={overlay?.opacity ?? null}
    show={(value) => bench.show(set('opacity', value))}
    keep={(value) => void bench.keep(set('opacity', value), strengthLabel(value))}
  />
  <ColourField
    label="Colour"
    value={layer.colour}
    palette={bench.site?.palette ?? []}
    show={(colour) => bench.show(set('colour', colour))}
    keep={(colour) => bench.keep(set('colour', colour), `${layer.name} in ${colour}`)}
  />
  <Remedy
    {overlay}
    current={layer.opacity ?? 1}
    apply={(value) => void bench.keep(set('opacity', value), strengthLabel(value))}
  />
</div>
