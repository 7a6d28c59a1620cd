<script lang="ts">
  /** One card of the build-up: the picture as far as a layer, its name, its strength, whether it is switched on. */
  import Eye from '@lucide/svelte/icons/eye';
  import EyeOff from '@lucide/svelte/icons/eye-off';
  import type { Card, Layer } from '../api/types';
  import { LayerEditor, shownLayer } from '../layers/change';
  import { lookOf, membersOf } from '../layers/members';
  import { pull } from '../parts/pull';
  import Track from '../parts/Track.svelte';
  import { useBench } from '../state/context';
  import { setVisible } from './layers';

  type Props = {
    id: string;
    name: string;
    layer: Layer | null;
    card: Card | undefined;
    below: boolean;
    /** How high its picture is, px. */
    height: number;
    choose: () => void;
    /** Move it so many places on. */
    shift: (by: number) => void;
    /** It is being pulled so far to the right, px; null: not any more. */
    pulled: (by: number | null) => void;
    dropped: () => void;
  };
  let { id, name, layer, card, below, height, choose, shift, pulled, dropped }: Props = $props();
  const bench = useBench();
  const { selection } = bench;

  const off = $derived(layer?.visible === false);
  const opacity = $derived(layer ? (shownLayer(bench, layer).opacity ?? 1) : 1);
  const turns = $derived(membersOf(layer));
  let under = $state<number | null>(null);
  let from = 0;

  /** The editor is made for this card's layer, whichever is chosen. */
  const editor = (of: Layer) => new LayerEditor(bench, of.id);
  const held = pull({
    hold: true,
    begin: (spot) => {
      from = spot.across;
      return layer !== null;
    },
    move: (spot) => pulled(spot.across - from),
    end: (_, was) => (was ? dropped() : pulled(null)),
    cancel: () => pulled(null),
  });

  function key(event: KeyboardEvent): void {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (!event.altKey || !by) return;
    event.preventDefault();
    shift(by);
  }
</script>

<button
  type="button"
  class="stage"
  class:off
  class:below
  style:height="{height}px"
  aria-pressed={!below && selection.cardId === id}
  aria-label="{name}{off ? ', switched off' : ''}{below ? ', of an area below' : ''}"
  title={layer ? 'Its settings; drag it, or Alt ← →, to move it' : undefined}
  onclick={choose}
  onkeydown={key}
  {@attach held}
>
  {#if card}<img src={card.picture} alt="" draggable="false" />{/if}
  {#if turns.length > 1}
    <span class="turns" aria-hidden="true">
      {#each turns as member (member.layer.id)}<span style:background={lookOf(member, bench.doc)}
        ></span>{/each}
    </span>
  {/if}
</button>
{#if layer}
  {@const to = editor(layer)}
  <div
    class="strength"
    style:--at="{under ?? opacity * 100}%"
    title="Strength: {under ?? Math.round(opacity * 100)} %"
  >
    <div style:background={card?.ink}></div>
    <Track
      label="Strength of {name}"
      value={opacity}
      show={(value) => to.show({ opacity: value })}
      keep={(value) => to.keep({ opacity: value }, `${name} at ${Math.round(value * 100)} %`)}
      pulled={(value) => (under = value)}
    />
  </div>
{:else}
  <div class="h-[18px]"></div>
{/if}
<div class="flex min-h-6 items-center gap-1 text-small" class:opacity-70={below}>
  <span class="truncate font-semibold" title={name}>{name}</span>
  <span class="muted ml-auto whitespace-nowrap" title={card?.aside}>{card?.aside ?? ''}</span>
  {#if layer}
    <button
      type="button"
      class="eye"
      aria-label="{off ? 'Show' : 'Hide'} {name}"
      title={off ? 'Show it' : 'Hide it'}
      onclick={() => setVisible(bench, layer, off)}
    >
      {#if off}<EyeOff size={15} aria-hidden="true" />{:else}<Eye size={15} aria-hidden="true" />{/if}
    </button>
  {/if}
</div>

<style>
  .stage {
    display: grid;
    place-items: center;
    width: 100%;
    touch-action: pan-x;
    user-select: none;
    overflow: hidden;
    cursor: pointer;
    background: color-mix(in oklab, var(--color-base-content) 8%, transparent);
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 25%, transparent);
  }
  .stage {
    position: relative;
  }
  .turns {
    position: absolute;
    inset: auto 3px 3px;
    display: flex;
    gap: 2px;
    height: 30%;
  }
  .turns span {
    flex: 1;
    box-shadow: 0 0 0 1px var(--color-base-100);
  }
  .stage img {
    width: 100%;
    height: 100%;
    object-fit: cover;
  }
  .stage[aria-pressed='true'] {
    box-shadow:
      0 0 0 2px var(--color-base-100),
      0 0 0 4px var(--color-primary);
  }
  .off img,
  .below img {
    opacity: 0.45;
  }
  .strength {
    position: relative;
    margin: 3px 0 6px;
    height: 9px;
    padding-top: 4px;
    background: color-mix(in oklab, var(--color-base-content) 22%, transparent) content-box;
  }
  .strength div {
    height: 5px;
    mask: linear-gradient(to right, black var(--at), transparent var(--at));
  }
  .strength :global(input) {
    position: absolute;
    inset: -3px 0 -6px;
    width: 100%;
    margin: 0;
    opacity: 0;
    cursor: ew-resize;
  }
  .strength:has(:focus-visible) {
    outline: 2px solid var(--color-primary);
  }
  .eye {
    display: grid;
    place-items: center;
    width: 22px;
    height: 24px;
    flex: none;
    cursor: pointer;
  }
</style>
