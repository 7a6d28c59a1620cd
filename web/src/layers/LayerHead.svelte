<script lang="ts">
  /** What can be done with a layer as a whole: its name, how it mixes, copies of it, taking it away. */
  import type { Layer } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import { copyLayer, duplicateLayer, removeLayer, renameLayer } from '../buildup/layers';
  import { kindOf } from './kinds';

  let { bench, layer }: { bench: Bench; layer: Layer } = $props();
  const others = $derived(bench.areas.filter((a) => a.id !== bench.area?.id));

  function renamed(event: Event & { currentTarget: HTMLInputElement }): void {
    const name = event.currentTarget.value.trim();
    if (name) void renameLayer(bench, layer, name);
    else event.currentTarget.value = layer.name;
  }
</script>

<input
  class="name display-face"
  aria-label="Name of the layer"
  maxlength="120"
  value={layer.name}
  onchange={renamed}
/>
<span class="muted shrink-0 text-[12.5px]">{kindOf(layer).name}</span>
<span class="ml-auto flex shrink-0 items-center">
  <select
    class="quiet copy"
    aria-label="Copy {layer.name} to another area"
    value=""
    onchange={(e) => {
      copyLayer(bench, layer, e.currentTarget.value);
      e.currentTarget.value = '';
    }}
  >
    <option value="">Copy to …</option>
    {#each others as area (area.id)}<option value={area.id}>{area.name}</option>{/each}
  </select>
  <button type="button" class="quiet" onclick={() => void duplicateLayer(bench, layer)}>Duplicate</button>
  <button type="button" class="quiet" onclick={() => void removeLayer(bench, layer)}>Remove</button>
</span>

<style>
  .name {
    min-width: 64px;
    max-width: 190px;
    field-sizing: content;
    font-size: 16px;
    background: transparent;
    border-bottom: 1px dashed transparent;
  }
  .name:hover,
  .name:focus {
    border-color: var(--color-base-content);
  }
  .copy {
    background: transparent;
    width: 106px;
  }
</style>
