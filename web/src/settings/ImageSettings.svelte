<script lang="ts">
  import type { ImageLayer, Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Choice from '../parts/Choice.svelte';
  import Strength from '../parts/Strength.svelte';
  import FocalPad from './FocalPad.svelte';
  import PictureChooser from './PictureChooser.svelte';
  import UploadList from './UploadList.svelte';

  let { bench, layer }: { bench: Bench; layer: ImageLayer } = $props();

  const SIZES = [
    { value: 'cover', name: 'Fill', note: 'cover: fills the area; what does not fit is cut off' },
    {
      value: 'contain',
      name: 'Whole',
      note: 'contain: shows all of it; what is left over shows the base colour',
    },
    { value: 'natural', name: 'Natural', note: 'one picture px is one CSS px' },
  ] as const;

  const asset = $derived(bench.site?.assets?.find((a) => a.id === layer.asset));
  const path = $derived(bench.layerPath(layer.id));
  const set = (field: string, value: unknown): Operation[] => [
    { op: 'replace', path: `${path}/${field}`, value },
  ];
</script>

<div class="flex gap-4">
  {#if asset}
    <div class="flex flex-col gap-1">
      <FocalPad
        picture="/thumbs/{asset.hash.slice(0, 10)}"
        proportion={asset.width / asset.height}
        value={[layer.focal?.[0] ?? 0.5, layer.focal?.[1] ?? 0.5]}
        show={(spot) => bench.show(set('focal', spot))}
        keep={(spot) => void bench.keep(set('focal', spot), `Focal point of ${layer.name}`)}
      />
      <p class="muted text-[12px]">{asset.width} × {asset.height} px, {(asset.bytes / 1024).toFixed(0)} kB</p>
    </div>
  {/if}
  <div class="flex min-w-0 flex-1 flex-col gap-2">
    <Choice
      label="Size"
      value={layer.size ?? 'cover'}
      options={SIZES}
      choose={(size) => void bench.keep(set('size', size), `${layer.name}: ${size}`)}
    />
    <Strength
      label="Strength"
      value={layer.opacity ?? 1}
      colour="#8a8378"
      show={(value) => bench.show(set('opacity', value))}
      keep={(value) =>
        void bench.keep(set('opacity', value), `${layer.name} at ${Math.round(value * 100)} %`)}
    />
    <PictureChooser {bench} {layer} />
  </div>
</div>
<UploadList uploads={bench.uploads} />
