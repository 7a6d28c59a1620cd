<script lang="ts">
  /** Who takes turns, in their order: dragged to another place, taken out, added from the shelf. */
  import type { Member, SequenceLayer } from '../../../api/types';
  import { at } from '../../../api/patch';
  import Thumbs from '../../../parts/Thumbs.svelte';
  import { pull } from '../../../parts/pull';
  import { useBench } from '../../../state/context';
  import { pathOf, type Change } from '../../../state/target';
  import { gradientsOf, lookOf, turnsOf } from '../../members';

  /** `open`: show the settings of the chosen one. */
  let { layer, open }: { layer: SequenceLayer; open: () => void } = $props();
  const { doc, edits, movement, selection } = useBench();

  const WIDE = 92;
  const GAP = 8;
  let moved = $state.raw<{ id: string; by: number } | null>(null);
  /** Whether the pictures of the shelf are shown, as somebody asked for it; for one alone they are by themselves. */
  let asked = $state.raw<{ layer: string; adding: boolean } | null>(null);
  const colours = $derived(gradientsOf(layer).length > 0);
  const others = $derived((doc.site?.assets ?? []).toReversed());
  const chosen = $derived(selection.member);
  const adding = $derived(asked?.layer === layer.id ? asked.adding : layer.members.length < 2 && !colours);

  /** A change of the list of members, as it is when the change is made. */
  function rearranged(how: (members: Member[]) => Member[]): Change {
    const target = selection.layerTarget(layer.id);
    return (site) => {
      const path = pathOf(site, target);
      const { members } = at(site, path) as SequenceLayer;
      return [{ op: 'replace', path: `${path}/members`, value: how([...members]) }];
    };
  }

  function shift(id: string, by: number): void {
    const n = layer.members.findIndex((m) => m.layer.id === id);
    const to = Math.min(layer.members.length - 1, Math.max(0, n + by));
    if (to === n) return;
    const change = rearranged((members) => {
      const from = members.findIndex((m) => m.layer.id === id);
      const one = members.splice(from, 1);
      return members.toSpliced(to, 0, ...one);
    });
    void edits.keep(change, `Move ${layer.members[n]?.layer.name}`);
  }

  function leaveOut(member: Member): void {
    const change = rearranged((members) => members.filter((m) => m.layer.id !== member.layer.id));
    void edits.keep(change, `Without ${member.layer.name}`);
  }

  function choose(member: Member, n: number): void {
    selection.chooseMember(member.layer.id);
    const turn = turnsOf(layer).turns[n];
    if (turn) movement.seek(layer.id, turn.start + turn.stay / 2);
  }

  const held = (id: string) => {
    let from = 0;
    return pull({
      hold: true,
      begin: (spot) => void (from = spot.across),
      move: (spot) => (moved = { id, by: spot.across - from }),
      end: (spot, was) => {
        moved = null;
        if (was) shift(id, Math.round((spot.across - from) / (WIDE + GAP)));
      },
      cancel: () => (moved = null),
    });
  };

  function key(event: KeyboardEvent, id: string): void {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (!event.altKey || !by) return;
    event.preventDefault();
    shift(id, by);
  }

  function add(assets: string[]): void {
    const { page, area } = selection;
    asked = { layer: layer.id, adding: assets.length > 0 };
    if (page && area)
      void edits.edit({ kind: 'take-turns', page: page.id, area: area.id, layer: layer.id, assets, at: 0 });
  }

  function alone(member: Member): void {
    const { page, area } = selection;
    if (page && area)
      void edits.edit(
        { kind: 'end-turns', page: page.id, area: area.id, layer: layer.id, member: member.layer.id },
        (card) => selection.chooseCard(card),
      );
  }
</script>

<ol class="row" aria-label="Who takes turns">
  {#each layer.members as member, n (member.layer.id)}
    <li
      style:width="{WIDE}px"
      style:transform={moved?.id === member.layer.id ? `translateX(${moved.by}px)` : undefined}
      class:moving={moved?.id === member.layer.id}
    >
      <button
        type="button"
        class="look"
        style:background={lookOf(member, doc)}
        aria-pressed={chosen?.layer.id === member.layer.id}
        aria-label="{n + 1}: {member.layer.name}"
        title="{member.layer.name}; drag it, or Alt ← →, to move it"
        onclick={() => choose(member, n)}
        onkeydown={(event) => key(event, member.layer.id)}
        {@attach held(member.layer.id)}
      ></button>
      <span class="truncate text-small" title={member.layer.name}>{n + 1}. {member.layer.name}</span>
    </li>
  {/each}
</ol>
{#if chosen}
  <div class="flex flex-wrap items-center gap-x-3">
    <button type="button" class="quiet act px-0" onclick={open}>Set {chosen.layer.name}</button>
    {#if layer.members.length > 1}
      <button type="button" class="quiet px-0" onclick={() => leaveOut(chosen)}>Leave it out</button>
    {/if}
    <button
      type="button"
      class="quiet px-0"
      title="It becomes a layer by itself; the others go"
      onclick={() => alone(chosen)}>It alone</button
    >
  </div>
{/if}
<div class="flex flex-wrap items-center gap-x-3">
  {#if colours}
    <button
      type="button"
      class="btn btn-outline h-[28px] min-h-0 px-2"
      title="The same gradient in other colours of the site, as light as these"
      onclick={() => add([])}>Add other colours</button
    >
  {/if}
  <button
    type="button"
    class="btn btn-outline h-[28px] min-h-0 px-2"
    aria-expanded={adding}
    onclick={() => (asked = { layer: layer.id, adding: !adding })}>Add pictures</button
  >
</div>
{#if adding}
  <div class="flex flex-wrap gap-1.5" role="group" aria-label="Pictures of the shelf">
    <Thumbs assets={others} verb="Add " choose={(asset) => add([asset.id])} />
    {#if others.length === 0}<p class="muted">The shelf is empty; drop a picture on this window.</p>{/if}
  </div>
{/if}

<style>
  .row {
    display: flex;
    gap: 8px;
    padding: 4px;
    overflow-x: auto;
    scrollbar-width: thin;
  }
  li {
    display: flex;
    flex: none;
    flex-direction: column;
  }
  .moving {
    z-index: 2;
    opacity: 0.9;
  }
  .look {
    height: 56px;
    cursor: pointer;
    touch-action: pan-x;
    box-shadow: inset 0 0 0 1px color-mix(in oklab, var(--color-base-content) 30%, transparent);
  }
  .look[aria-pressed='true'] {
    box-shadow:
      0 0 0 2px var(--color-base-100),
      0 0 0 4px var(--color-primary);
  }
</style>
