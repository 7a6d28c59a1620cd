<script lang="ts">
  /** On which screens a layer is shown. */
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import type { Layer } from '../api/types';
  import Panel from '../parts/Panel.svelte';
  import { on } from '../state/screens';
  import { put } from '../state/target';
  import { useBench } from '../state/context';

  let { layer }: { layer: Layer } = $props();
  const { doc, edits, selection } = useBench();
  const shown = $derived(doc.screens.filter((s) => on(layer, s.id).visible ?? true));
  const said = $derived(
    shown.length === doc.screens.length ? 'all' : `${shown.length} of ${doc.screens.length}`,
  );

  function turn(screen: { id: string; name: string }, visible: boolean): void {
    const same = visible === (layer.visible ?? true);
    const change = put(selection.layerTarget(layer.id), { visible: same ? null : visible }, screen.id);
    void edits.keep(change, `${visible ? 'Show' : 'Hide'} ${layer.name} on the ${screen.name}`);
  }
</script>

<Panel name="shown" label="Screens that show {layer.name}" width={210}>
  {#snippet opener(props)}
    <button
      {...props}
      type="button"
      class="quiet flex items-center gap-1 whitespace-nowrap"
      title="On which screens it is shown"
    >
      screens: <b>{said}</b><ChevronDown size={14} aria-hidden="true" />
    </button>
  {/snippet}
  <fieldset>
    <legend class="muted text-small">Shown on</legend>
    {#each doc.screens as screen (screen.id)}
      <label class="flex min-h-[28px] cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          class="h-4 w-4"
          checked={shown.includes(screen)}
          onchange={(e) => turn(screen, e.currentTarget.checked)}
        />
        <span>{screen.name}</span>
      </label>
    {/each}
  </fieldset>
</Panel>
