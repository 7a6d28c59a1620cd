<script lang="ts">
  import type { ColourLayer } from '../../../api/types';
  import type { Bench } from '../../../bench/bench.svelte';
  import ColourField from '../../../parts/ColourField.svelte';
  import { keepLayer, showLayer, shownLayer } from '../../change';
  import LayerStrength from '../../LayerStrength.svelte';

  let { bench, layer }: { bench: Bench; layer: ColourLayer } = $props();
  const own = $derived(shownLayer(bench, layer));
</script>

<div class="flex flex-col gap-2 pt-1">
  <ColourField
    {bench}
    label="Colour"
    value={own.colour}
    show={(colour) => showLayer(bench, layer, { colour })}
    keep={(colour) => keepLayer(bench, layer, { colour }, `${layer.name} in ${colour}`)}
  />
  <LayerStrength {bench} {layer} ink={own.colour} />
</div>
