<script lang="ts">
  /** What can be done with a layer as a whole: its name, how it mixes, copies of it, taking it away. */
  import type { Layer } from '../api/types';
  import { copyLayer, duplicateLayer, removeLayer, renameLayer } from '../buildup/layers';
  import Menu from '../parts/Menu.svelte';
  import NameField from '../parts/NameField.svelte';
  import { useBench } from '../state/context';

  let { layer }: { layer: Layer } = $props();
  const bench = useBench();
  const { doc, selection } = bench;
  const others = $derived(selection.areas.filter((a) => a.id !== selection.area?.id));
  const copies = $derived([
    {
      title: 'Copy it to',
      actions: others.map((area) => ({
        id: area.id,
        name: area.name,
        run: () => copyLayer(bench, layer, area.id),
      })),
    },
  ]);
</script>

<NameField label="Name of the layer" value={layer.name} keep={(name) => renameLayer(bench, layer, name)} />
<span class="muted shrink-0 text-small"
  >{doc.library?.kinds.find((k) => k.kind === layer.kind)?.name ?? layer.kind}</span
>
<span class="ml-auto flex shrink-0 items-center">
  {#if others.length > 0}
    <Menu
      label="Copy {layer.name} to another area"
      groups={copies}
      name="Copy to"
      note="Put a copy of it on top of another area"
    />
  {/if}
  <button type="button" class="quiet" onclick={() => void duplicateLayer(bench, layer)}>Duplicate</button>
  <button type="button" class="quiet" onclick={() => void removeLayer(bench, layer)}>Remove</button>
</span>
