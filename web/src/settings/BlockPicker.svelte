<script lang="ts">
  /** Which block of the area is being set; adding, moving, removing them. */
  import type { Block, Edit } from '../api/types';
  import { useBench } from '../state/context';

  const { edits, selection } = useBench();

  const NAMES = {
    heading: 'Heading',
    text: 'Text',
    button: 'Button',
    logo: 'Logo',
    menu: 'Menu',
    picture: 'Picture',
    space: 'Space',
  };
  const page = $derived(selection.page?.id ?? '');
  const column = $derived(
    selection.areas.find((a) => a.kind === 'column' && a.blocks.some((b) => b.id === selection.block?.id)) ??
      selection.areas.find((a) => a.kind === 'column' && a.band?.id === selection.band?.id),
  );
  const said = (block: Block) =>
    block.kind === 'menu' || block.kind === 'picture' || block.kind === 'space'
      ? NAMES[block.kind]
      : block.wording?.split('\n')[0] || 'no words yet';

  function run(edit: Edit): void {
    void edits.edit(edit, (chosen) => {
      selection.blockId = chosen;
      selection.chooseCard('words');
    });
  }

  function add(event: Event & { currentTarget: HTMLSelectElement }): void {
    const block = event.currentTarget.value as keyof typeof NAMES;
    event.currentTarget.value = '';
    if (column)
      run({ kind: 'add-block', page, column: column.id, block, after: selection.block?.id ?? null });
  }
</script>

<div class="flex min-w-0 flex-1 items-center gap-2 pl-1">
  <select
    class="field min-w-0 flex-1 font-semibold"
    aria-label="Block of words"
    value={selection.block?.id}
    onchange={(e) => selection.chooseBlock(e.currentTarget.value)}
  >
    {#each selection.blocks as one (one.id)}<option value={one.id}>{said(one)}</option>{/each}
  </select>
  {#if selection.block}
    {@const block = selection.block.id}
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
