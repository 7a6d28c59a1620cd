<script lang="ts">
  /** How a layer mixes with what lies below it: every mode on the very picture, grouped by what it does. */
  import * as client from '../api/client';
  import type { BlendLook, BlendMode, Layer } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import { besideOpener } from '../parts/popover';

  let { bench, layer }: { bench: Bench; layer: Layer } = $props();

  const id = $props.id();
  let opener = $state<HTMLElement>();
  let menu = $state<HTMLElement>();
  let spot = $state({ left: 0, top: 0 });
  let looks = $state.raw<BlendLook[]>([]);
  const mode = $derived(layer.blend ?? 'normal');
  const groups = $derived(bench.library?.blends ?? []);
  const said = (name: BlendMode) => name.replace('-', ' ');
  const set = (blend: BlendMode) => [
    { op: 'add' as const, path: `${bench.layerPath(layer.id)}/blend`, value: blend },
  ];

  function open(event: ToggleEvent): void {
    if (event.newState !== 'open') return bench.forget();
    if (!bench.area) return;
    client
      .blends({ ...bench.asked, patch: [], area: bench.area.id, layer: layer.id })
      .then((found) => (looks = found.looks))
      .catch((error: unknown) => bench.tell(error));
  }

  function choose(blend: BlendMode): void {
    menu?.hidePopover();
    void bench.keep(set(blend), `${layer.name} mixes as ${said(blend)}`);
  }
</script>

<button
  type="button"
  class="quiet whitespace-nowrap"
  bind:this={opener}
  popovertarget={id}
  title="How it mixes with the layers below it in this area"
>
  mixes: <b>{said(mode)}</b>
</button>
<div
  {id}
  popover
  bind:this={menu}
  class="offer"
  style:left="{spot.left}px"
  style:top="{spot.top}px"
  onbeforetoggle={() => (spot = besideOpener(opener, 700, 356))}
  ontoggle={open}
>
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
              onpointerenter={() => bench.show(set(blend))}
              onfocus={() => bench.show(set(blend))}
              onclick={() => choose(blend)}
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
</div>

<style>
  .groups {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 20px;
    width: 676px;
    font-size: 12.5px;
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
