<script lang="ts">
  import type { ColourLayer } from '../../../api/types';
  import ColourField from '../../../parts/ColourField.svelte';
  import { layerEditor, shownLayer } from '../../change';
  import { useBench } from '../../../state/context';
  import LayerStrength from '../../LayerStrength.svelte';

  let { layer }: { layer: ColourLayer } = $props();
  const bench = useBench();
  const to = layerEditor(() => layer);
  const own = $derived(shownLayer(bench, layer));
</script>

<div class="flex flex-col gap-2 pt-1">
  <ColourField
    label="Colour"
    value={own.colour}
    show={(colour) => to.show({ colour })}
    keep={(colour) => to.keep({ colour }, `${layer.name} in ${colour}`)}
  />
  <LayerStrength {layer} ink={own.colour} />
</div>
