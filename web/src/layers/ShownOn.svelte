<script lang="ts">
  /** On which screens a layer is shown: for each of them or, `scoped`, for the one that settings are made for. */
  import type { Layer } from '../api/types';
  import { setVisible } from '../buildup/layers';
  import { on } from '../state/screens';
  import { put } from '../state/target';
  import { useBench } from '../state/context';

  let { layer, scoped = false }: { layer: Layer; scoped?: boolean } = $props();
  const bench = useBench();
  const { doc, edits, selection } = bench;
  const wanted = $derived(scoped ? doc.screens.filter((s) => s.id === selection.scope) : doc.screens);
  const shown = (screen: string): boolean => on(layer, screen).visible ?? true;

  function turn(screen: { id: string; name: string }, visible: boolean): void {
    const same = visible === (layer.visible ?? true);
    const change = put(selection.layerTarget(layer.id), { visible: same ? null : visible }, screen.id);
    void edits.keep(change, `${visible ? 'Show' : 'Hide'} ${layer.name} on the ${screen.name}`);
  }
</script>

{#snippet box(name: string, checked: boolean, change: (checked: boolean) => void)}
  <label class="flex min-h-[24px] shrink-0 items-center gap-1 text-small">
    <input type="checkbox" class="h-4 w-4" {checked} onchange={(e) => change(e.currentTarget.checked)} />
    <span>{name}</span>
  </label>
{/snippet}

{#if scoped && wanted.length === 0}
  {@render box('shown', layer.visible ?? true, (visible) => setVisible(bench, layer, visible))}
{:else if scoped}
  {#each wanted as screen (screen.id)}
    {@render box('shown there', shown(screen.id), (visible) => turn(screen, visible))}
  {/each}
{:else}
  <fieldset class="flex min-w-0 items-center gap-x-2">
    <legend class="sr-only">Shown on</legend>
    <span class="muted text-small" aria-hidden="true">shown on</span>
    {#each wanted as screen (screen.id)}
      {@render box(screen.name, shown(screen.id), (visible) => turn(screen, visible))}
    {/each}
  </fieldset>
{/if}
