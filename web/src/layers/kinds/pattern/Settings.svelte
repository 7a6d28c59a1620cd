<script lang="ts">
  import { RANGES } from '../../../api/ranges';
  import type { PatternLayer } from '../../../api/types';
  import ColourField from '../../../parts/ColourField.svelte';
  import { within } from '../../../parts/numbers';
  import NumberField from '../../../parts/NumberField.svelte';
  import { layerEditor, shownLayer } from '../../change';
  import FigurePicker from '../../FigurePicker.svelte';
  import LayerStrength from '../../LayerStrength.svelte';
  import { useBench } from '../../../state/context';

  let { layer }: { layer: PatternLayer } = $props();
  const bench = useBench();
  const to = layerEditor(() => layer);
  const { doc } = useBench();
  const own = $derived(shownLayer(bench, layer));
  const offset = $derived([layer.offset?.[0] ?? 0, layer.offset?.[1] ?? 0] as const);
  type Values = Record<string, unknown>;
  const field = (label: string, make: (value: number) => Values) => ({
    label,
    show: (value: number) => to.show(make(value)),
    keep: (value: number) => to.keep(make(value), `${layer.name}: ${label} ${value}`),
  });
</script>

<div class="flex flex-col gap-2 pt-1">
  <FigurePicker
    label="Tile"
    figures={doc.library?.tiles ?? []}
    value={layer.tile}
    choose={(tile, name) => void to.keep({ tile }, `${layer.name}: ${name}`)}
  />
  <ColourField
    label="Colour"
    value={own.colour ?? '#ffffff'}
    show={(colour) => to.show({ colour })}
    keep={(colour) => to.keep({ colour }, `${layer.name} in ${colour}`)}
  />
  <div class="grid grid-cols-[repeat(auto-fit,minmax(78px,1fr))] gap-2">
    <NumberField
      {...field('Size', (size) => ({ size }))}
      value={layer.size ?? 24}
      unit="px"
      {...within(RANGES.PatternLayer.size)}
    />
    <NumberField
      {...field('Spacing', (spacing) => ({ spacing }))}
      value={layer.spacing ?? 0}
      unit="px"
      {...within(RANGES.PatternLayer.spacing)}
    />
    <NumberField
      {...field('Turn', (turn) => ({ turn }))}
      value={layer.turn ?? 0}
      unit="°"
      {...within(RANGES.PatternLayer.turn)}
    />
    <NumberField
      {...field('Across', (x) => ({ offset: [x, offset[1]] }))}
      value={offset[0]}
      unit="px"
      least={-400}
      most={400}
    />
    <NumberField
      {...field('Down', (y) => ({ offset: [offset[0], y] }))}
      value={offset[1]}
      unit="px"
      least={-400}
      most={400}
    />
  </div>
  <div class="flex gap-4">
    <label class="flex items-center gap-1.5">
      <input
        type="checkbox"
        class="h-4 w-4"
        checked={layer.swapped ?? false}
        onchange={(e) =>
          void to.keep({ swapped: e.currentTarget.checked }, `${layer.name}: swap figure and ground`)}
      /> figure and ground swapped
    </label>
    <label class="flex items-center gap-1.5">
      <input
        type="checkbox"
        class="h-4 w-4"
        checked={layer.flip ?? false}
        onchange={(e) => void to.keep({ flip: e.currentTarget.checked }, `${layer.name}: flip`)}
      /> flipped
    </label>
  </div>
  <LayerStrength {layer} ink={own.colour ?? '#ffffff'} />
</div>
