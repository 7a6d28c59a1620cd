<script lang="ts">
  /** What can be done with the chosen area as a whole: add, move, duplicate, remove, join. */
  import type { Edit } from '../api/types';
  import type { Bench } from './bench.svelte';

  let { bench }: { bench: Bench } = $props();

  let menu = $state<HTMLElement>();
  let opener = $state<HTMLElement>();
  let spot = $state({ left: 0, top: 0 });
  const id = $props.id();
  const page = $derived(bench.page?.id ?? '');
  const band = $derived(bench.area?.kind === 'band' || bench.area?.kind === 'column' ? bench.band : null);
  const at = $derived(bench.bands.findIndex((b) => b.id === band?.id));
  const above = $derived(at > 0 ? bench.bands[at - 1] : undefined);
  const below = $derived(at >= 0 ? bench.bands[at + 1] : undefined);

  function settle(): void {
    const box = opener?.getBoundingClientRect();
    if (box) spot = { left: Math.min(box.left - 8, window.innerWidth - 352), top: box.bottom + 4 };
  }

  function run(edit: Edit): void {
    menu?.hidePopover();
    void bench.edit(edit, (chosen) => bench.choose(chosen));
  }
</script>

<button
  type="button"
  class="quiet act"
  bind:this={opener}
  popovertarget={id}
  aria-label="Add, move, join areas"
  title="Add a band, move, duplicate, join, remove">+ …</button
>
<div
  {id}
  popover
  bind:this={menu}
  class="offer"
  style:width="344px"
  onbeforetoggle={settle}
  style:left="{spot.left}px"
  style:top="{spot.top}px"
>
  <p class="muted">Add a band {band ? `below ${band.name}` : 'at the top'} with</p>
  <div class="flex gap-1 pb-2">
    {#each [1, 2, 3, 4] as columns (columns)}
      <button
        type="button"
        class="btn btn-outline h-[28px] min-h-0 px-2"
        onclick={() => run({ kind: 'add-band', page, after: band?.id ?? null, columns })}
        >{columns} column{columns > 1 ? 's' : ''}</button
      >
    {/each}
  </div>
  {#if band}
    <p class="muted">{band.name}</p>
    <div class="actions">
      <button
        type="button"
        class="quiet"
        onclick={() => run({ kind: 'move-band', page, band: band.id, by: -1 })}>Move up</button
      >
      <button
        type="button"
        class="quiet"
        onclick={() => run({ kind: 'move-band', page, band: band.id, by: 1 })}>Move down</button
      >
      <button type="button" class="quiet" onclick={() => run({ kind: 'duplicate-band', page, band: band.id })}
        >Duplicate</button
      >
      <button type="button" class="quiet" onclick={() => run({ kind: 'remove-band', page, band: band.id })}
        >Remove</button
      >
    </div>
    <p class="muted">One picture behind two bands</p>
    <div class="actions">
      {#if above}
        <button
          type="button"
          class="quiet act"
          onclick={() => run({ kind: 'join', page, first: above.id, last: band.id })}
          >Join with {above.name}</button
        >
      {/if}
      {#if below}
        <button
          type="button"
          class="quiet act"
          onclick={() => run({ kind: 'join', page, first: band.id, last: below.id })}
          >Join with {below.name}</button
        >
      {/if}
    </div>
  {:else if bench.area?.join}
    {@const join = bench.area.join}
    <div class="actions">
      <button type="button" class="quiet act" onclick={() => run({ kind: 'part', page, join: join.id })}
        >Part {join.name}</button
      >
    </div>
  {/if}
</div>

<style>
  .actions {
    display: flex;
    flex-wrap: wrap;
    margin-left: -8px;
    padding-bottom: 4px;
  }
</style>
