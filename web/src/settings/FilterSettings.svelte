<script lang="ts">
  /** What is done to a picture before it is laid down. */
  import { RANGES } from '../api/ranges';
  import type { ImageLayer } from '../api/types';
  import { layerEditor } from '../layers/change';
  import { within } from '../parts/numbers';
  import NumberField from '../parts/NumberField.svelte';

  let { layer }: { layer: ImageLayer } = $props();
  const to = layerEditor(() => layer);

  const PARTS = [
    { name: 'blur', label: 'Blur', unit: 'px', times: 1, plain: 0 },
    { name: 'brightness', label: 'Brightness', unit: '%', times: 100, plain: 1 },
    { name: 'contrast', label: 'Contrast', unit: '%', times: 100, plain: 1 },
    { name: 'saturate', label: 'Colour', unit: '%', times: 100, plain: 1 },
    { name: 'grayscale', label: 'Grey', unit: '%', times: 100, plain: 0 },
  ] as const;
  const wanted = (name: string, value: number) => ({ [`filter/${name}`]: value });
</script>

<div class="grid grid-cols-[repeat(auto-fit,minmax(84px,1fr))] gap-x-2 gap-y-1">
  {#each PARTS as { name, label, unit, times, plain } (name)}
    <NumberField
      {label}
      {unit}
      {...within(RANGES.Filter[name], times)}
      value={(layer.filter?.[name] ?? plain) * times}
      show={(value) => to.show(wanted(name, value / times))}
      keep={(value) =>
        to.keep(wanted(name, value / times), `${layer.name}: ${label.toLowerCase()} ${value} ${unit}`)}
    />
  {/each}
</div>
