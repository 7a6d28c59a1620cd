<script lang="ts">
  /** How a layer mixes with what lies below it: every mode on the very picture, grouped by what it does. */
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import * as client from '../api/client';
  import type { BlendLook, BlendMode, Layer } from '../api/types';
  import Panel from '../parts/Panel.svelte';
  import { useBench } from '../state/context';
  import { layerEditor } from './change';

  let { layer }: { layer: Layer } = $props();
  const { doc, edits, notices, place, selection } = useBench();
  const to = layerEditor(() => layer);

  let looks = $state.raw<BlendLook[]>([]);
  const mode = $derived(layer.blend ?? 'normal');
  const groups = $derived(doc.library?.blends ?? []);
  const said = (name: BlendMode) => name.replace('-', ' ');

  $effect(() => {
    if (place.panel !== 'mixing') return;
    const area = selection.area?.id;
    if (!area) return;
    client
      .blends({ ...selection.asked, patch: [], area, layer: layer.id })
      .then((found) => (looks = found.looks))
      .catch((error: unknown) => notices.tell(error));
  });

  function choose(blend: BlendMode, close: () => void): void {
    void to.keep({ blend }, `${layer.name} mixes as ${said(blend)}`);
    close();
  }
</script>

<Panel
  name="mixing"
  label="How {layer.name} mixes with what lies below"
  width={700}
  closed={() => edits.forget()}
>
  {#snippet opener(props)}
    <button
      {...props}
      type="button"
      class="quiet flex items-center gap-1 whitespace-nowrap"
      title="How it mixes with the layers below it in this area"
    >
      mixes: <b>{said(mode)}</b><ChevronDown size={14} aria-hidden="true" />
    </button>
  {/snippet}
  {#snippet children(close)}
    <div class="groups" aria-busy={looks.length === 0}>
      {#each groups as group (group.does)}
        <fieldset>
          <legend class="muted">{group.does}</legend>
          <div class="flex gap-1.5">
            {#each group.modes as blend (blend)}
              <button
                type="button"
                class="look"
                aria-pressed={blend === mode}
                onpointerenter={() => to.show({ blend })}
                onfocus={() => to.show({ blend })}
                onclick={() => choose(blend, close)}
              >
                <span class="picture">
                  {#if looks.length > 0}<img
                      src={looks.find((l) => l.mode === blend)?.picture}
                      alt=""
                      draggable="false"
                    />{/if}
                </span>
                {said(blend)}
              </button>
            {/each}
          </div>
        </fieldset>
      {/each}
    </div>
  {/snippet}
</Panel>

<style>
  .groups {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 20px;
    font-size: var(--text-small);
  }
  .look {
    display: flex;
    flex-direction: column;
    width: 104px;
    cursor: pointer;
    text-align: left;
    border-bottom: 2px solid transparent;
  }
  .look[aria-pressed='true'] {
    border-color: var(--color-primary);
    font-weight: 600;
  }
  .picture {
    display: block;
    height: 64px;
    background: var(--color-base-300);
  }
  .picture img {
    width: 100%;
    height: 100%;
    object-fit: cover;
  }
</style>
