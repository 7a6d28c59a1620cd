<script lang="ts">
  /** Which block of the area is being set; adding, moving, removing them. */
  import type { Block, Edit } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';

  let { bench }: { bench: Bench } = $props();

  const NAMES = {
    heading: 'Heading',
    text: 'Text',
    button: 'Button',
    logo: 'Logo',
    menu: 'Menu',
    picture: 'Picture',
    space: 'Space',
  };
  const page = $derived(bench.page?.id ?? '');
  const column = $derived(
    bench.areas.find((a) => a.kind === 'column' && a.blocks.some((b) => b.id === bench.block?.id)) ??
      bench.areas.find((a) => a.kind === 'column' && a.band?.id === bench.band?.id),
  );
  const said = (block: Block) =>
    block.kind === 'menu' || block.kind === 'picture' || block.kind === 'space'
      ? NAMES[block.kind]
      : block.wording?.split('\n')[0] || 'no words yet';

  function run(edit: Edit): void {
    void bench.edit(edit, (chosen) => {
      bench.blockId = chosen;
      bench.chooseCard('words');
    });
  }

  function add(event: Event & { currentTarget: HTMLSelectElement }): void {
    const block = event.currentTarget.value as keyof typeof NAMES;
    event.currentTarget.value = '';
    if (column) run({ kind: 'add-block', page, column: column.id, block, after: bench.block?.id ?? null });
  }
</script>

<div class="flex min-w-0 flex-1 items-center gap-2 pl-1">
  <select
    class="field min-w-0 flex-1 font-semibold"
    aria-label="Block of words"
    value={bench.block?.id}
    onchange={(e) => (bench.blockId = e.currentTarget.value)}
  >
    {#each bench.blocks as one (one.id)}<option value={one.id}>{said(one)}</option>{/each}
  </select>
  {#if bench.block}
    {@const block = bench.block.id}
    <span class="flex shrink-0">
      <button
        type="button"
        class="quiet"
        aria-label="Move the block up"
        title="Up"
        onclick={() => run({ kind: 'move-block', page, block, by: -1 })}>↑</button
      >
      <button
        type="button"
        class="quiet"
        aria-label="Move the block down"
        title="Down"
        onclick={() => run({ kind: 'move-block', page, block, by: 1 })}>↓</button
      >
      <button type="button" class="quiet" onclick={() => run({ kind: 'duplicate-block', page, block })}
        >Copy</button
      >
      <button type="button" class="quiet" onclick={() => run({ kind: 'remove-block', page, block })}
        >Remove</button
      >
    </span>
  {/if}
  {#if column}
    <select class="field w-[84px] shrink-0" aria-label="Add a block" onchange={add}>
      <option value="">Add …</option>
      {#each Object.entries(NAMES) as [kind, name] (kind)}<option value={kind}>{name}</option>{/each}
    </select>
  {/if}
</div>
