<script lang="ts">
  import { RANGES } from '../../../api/ranges';
  import type { EdgeLayer } from '../../../api/types';
  import ColourField from '../../../parts/ColourField.svelte';
  import Field from '../../../parts/Field.svelte';
  import { nudgeLength } from '../../../parts/lengths';
  import { within } from '../../../parts/numbers';
  import NumberField from '../../../parts/NumberField.svelte';
  import { layerEditor, shownLayer } from '../../change';
  import { useBench } from '../../../state/context';
  import LayerStrength from '../../LayerStrength.svelte';
  import EdgePad from './EdgePad.svelte';

  let { layer }: { layer: EdgeLayer } = $props();
  const bench = useBench();
  const to = layerEditor(() => layer);
  const own = $derived(shownLayer(bench, layer));
</script>

<div class="flex gap-4 pt-1">
  <EdgePad
    {layer}
    colour={own.colour ?? '#000000'}
    show={(values) => to.show(values)}
    keep={(values, label) => to.keep(values, `${layer.name}: ${label}`)}
  />
  <div class="flex min-w-0 flex-1 flex-col gap-2">
    <div class="grid grid-cols-2 gap-2">
      <Field
        label="Depth"
        value={layer.depth ?? '40%'}
        nudge={nudgeLength}
        note="how far it reaches inwards: %, px, vw"
        show={(depth) => to.show({ depth })}
        keep={(depth) => to.keep({ depth }, `${layer.name}: ${depth} deep`)}
      />
      <NumberField
        label="Softness"
        value={Math.round((layer.softness ?? 1) * 100)}
        unit="%"
        {...within(RANGES.EdgeLayer.softness, 100)}
        show={(part) => to.show({ softness: part / 100 })}
        keep={(part) => to.keep({ softness: part / 100 }, `${layer.name}: softness ${part} %`)}
      />
    </div>
    <ColourField
      tight
      label="Colour"
      value={own.colour ?? '#000000'}
      show={(colour) => to.show({ colour })}
      keep={(colour) => to.keep({ colour }, `${layer.name} in ${colour}`)}
    />
    <LayerStrength {layer} ink={own.colour ?? '#000000'} />
  </div>
</div>
