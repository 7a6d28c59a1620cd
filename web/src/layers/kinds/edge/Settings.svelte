<script lang="ts">
  import type { EdgeLayer } from '../../../api/types';
  import type { Bench } from '../../../bench/bench.svelte';
  import ColourField from '../../../parts/ColourField.svelte';
  import Field from '../../../parts/Field.svelte';
  import { nudgeLength } from '../../../parts/lengths';
  import NumberField from '../../../parts/NumberField.svelte';
  import { keepLayer, showLayer, shownLayer } from '../../change';
  import LayerStrength from '../../LayerStrength.svelte';
  import EdgePad from './EdgePad.svelte';

  let { bench, layer }: { bench: Bench; layer: EdgeLayer } = $props();
  const own = $derived(shownLayer(bench, layer));
</script>

<div class="flex gap-4 pt-1">
  <EdgePad
    {layer}
    colour={own.colour ?? '#000000'}
    show={(values) => showLayer(bench, layer, values)}
    keep={(values, label) => void keepLayer(bench, layer, values, `${layer.name}: ${label}`)}
  />
  <div class="flex min-w-0 flex-1 flex-col gap-2">
    <div class="grid grid-cols-2 gap-2">
      <Field
        label="Depth"
        value={layer.depth ?? '40%'}
        nudge={nudgeLength}
        note="how far it reaches inwards: %, px, vw"
        show={(depth) => showLayer(bench, layer, { depth })}
        keep={(depth) => keepLayer(bench, layer, { depth }, `${layer.name}: ${depth} deep`)}
      />
      <NumberField
        label="Softness"
        value={Math.round((layer.softness ?? 1) * 100)}
        unit="%"
        least={0}
        most={100}
        show={(part) => showLayer(bench, layer, { softness: part / 100 })}
        keep={(part) =>
          keepLayer(bench, layer, { softness: part / 100 }, `${layer.name}: softness ${part} %`)}
      />
    </div>
    <ColourField
      {bench}
      tight
      label="Colour"
      value={own.colour ?? '#000000'}
      show={(colour) => showLayer(bench, layer, { colour })}
      keep={(colour) => keepLayer(bench, layer, { colour }, `${layer.name} in ${colour}`)}
    />
    <LayerStrength {bench} {layer} ink={own.colour ?? '#000000'} />
  </div>
</div>
