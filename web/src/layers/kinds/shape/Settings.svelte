<script lang="ts">
  import type { ShapeLayer } from '../../../api/types';
  import Choice from '../../../parts/Choice.svelte';
  import ColourField from '../../../parts/ColourField.svelte';
  import Field from '../../../parts/Field.svelte';
  import { nudgeLength } from '../../../parts/lengths';
  import { layerEditor, shownLayer } from '../../change';
  import FigurePicker from '../../FigurePicker.svelte';
  import GradientField from '../../GradientField.svelte';
  import LayerStrength from '../../LayerStrength.svelte';
  import { useBench } from '../../../state/context';

  let { layer }: { layer: ShapeLayer } = $props();
  const bench = useBench();
  const to = layerEditor(() => layer);
  const { doc } = useBench();
  const own = $derived(shownLayer(bench, layer));
  const SIDES = [
    { value: 'bottom', name: 'foot' },
    { value: 'top', name: 'top' },
    { value: 'left', name: 'left' },
    { value: 'right', name: 'right' },
    { value: 'whole', name: 'all over' },
  ] as const;
</script>

<div class="flex flex-col gap-2 pt-1">
  <FigurePicker
    label="Silhouette"
    figures={doc.library?.silhouettes ?? []}
    value={layer.silhouette}
    choose={(silhouette, name) => void to.keep({ silhouette }, `${layer.name}: ${name}`)}
  />
  <div class="flex items-end gap-3">
    <Choice
      label="Stands at"
      value={layer.side ?? 'bottom'}
      options={SIDES}
      choose={(side) => void to.keep({ side }, `${layer.name}: at the ${side}`)}
    />
    {#if layer.side !== 'whole'}
      <Field
        label="Depth"
        hideLabel
        width="84px"
        value={layer.depth ?? '30%'}
        nudge={nudgeLength}
        note="how deep it reaches: % of the area, px, vw"
        show={(depth) => to.show({ depth })}
        keep={(depth) => to.keep({ depth }, `${layer.name}: ${depth} deep`)}
      />
    {/if}
  </div>
  <ColourField
    label="Colour"
    value={own.colour ?? '#ffffff'}
    show={(colour) => to.show({ colour })}
    keep={(colour) => to.keep({ colour, gradient: null }, `${layer.name} in ${colour}`)}
  />
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
    {#each [['flip', 'flipped'], ['outside', 'covers what is outside']] as const as [name, words] (name)}
      <label class="flex items-center gap-1.5">
        <input
          type="checkbox"
          class="h-4 w-4"
          checked={layer[name] ?? false}
          onchange={(e) => void to.keep({ [name]: e.currentTarget.checked }, `${layer.name}: ${words}`)}
        />
        {words}
      </label>
    {/each}
    <label class="flex items-center gap-1.5">
      <input
        type="checkbox"
        class="h-4 w-4"
        checked={layer.gradient !== null && layer.gradient !== undefined}
        onchange={(e) => {
          const stops = [
            { colour: layer.colour ?? '#ffffff' },
            { colour: doc.site?.palette?.[0] ?? '#000000' },
          ];
          const gradient = e.currentTarget.checked ? { shape: 'linear', angle: 90, stops } : null;
          void to.keep({ gradient }, `${layer.name}: ${gradient ? 'a gradient' : 'one colour'}`);
        }}
      />
      a gradient
    </label>
  </div>
  {#if layer.gradient}
    <GradientField
      value={layer.gradient}
      show={(gradient) => to.show({ gradient })}
      keep={(gradient, label) => void to.keep({ gradient }, `${layer.name}: ${label}`)}
    />
  {/if}
  <LayerStrength {layer} ink={own.colour ?? '#ffffff'} />
</div>
