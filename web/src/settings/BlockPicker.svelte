<script lang="ts">
  /** Which block of the area is being set; adding, moving, removing them. */
  import type { Block, Edit } from '../api/types';
  import Menu, { type Group } from '../parts/Menu.svelte';
  import { useBench } from '../state/context';
  import { whole } from '../parts/whole';

  const { doc, edits, selection } = useBench();

  const kinds = $derived(doc.library?.blocks ?? []);
  const page = $derived(selection.page?.id ?? '');
  const column = $derived(
    selection.areas.find((a) => a.kind === 'column' && a.blocks.some((b) => b.id === selection.block?.id)) ??
      selection.areas.find((a) => a.kind === 'column' && a.band?.id === selection.band?.id),
  );
  const said = (block: Block) =>
    (doc.kind(block).lettered && block.wording?.split('\n')[0]) || doc.kind(block).name;

  function run(edit: Edit): void {
    void edits.edit(edit, (chosen) => selection.chooseBlock(chosen));
  }

  const changes = $derived.by((): Group[] => {
    const block = selection.block?.id;
    if (!block) return [];
    return [
      {
        actions: [
          { id: 'up', name: 'Move it up', run: () => run({ kind: 'move-block', page, block, by: -1 }) },
          { id: 'down', name: 'Move it down', run: () => run({ kind: 'move-block', page, block, by: 1 }) },
          { id: 'duplicate', name: 'Duplicate it', run: () => run({ kind: 'duplicate-block', page, block }) },
          { id: 'remove', name: 'Remove it', run: () => run({ kind: 'remove-block', page, block }) },
        ],
      },
    ];
  });
  const additions = $derived.by((): Group[] => {
    const into = column?.id;
    if (!into) return [];
    const after = selection.block?.id ?? null;
    return [
      {
        title: selection.block ? 'Below this block' : 'Into this area',
        actions: kinds.map(({ kind, name }) => ({
          id: kind,
          name,
          run: () => run({ kind: 'add-block', page, column: into, block: kind as Block['kind'], after }),
        })),
      },
    ];
  });
</script>

<div class="flex min-w-0 flex-1 items-center gap-2 pl-1">
  <select
    {@attach whole}
    class="field min-w-0 flex-1 font-semibold"
    aria-label="Block of words"
    value={selection.block?.id}
    onchange={(e) => selection.chooseBlock(e.currentTarget.value)}
  >
    {#each selection.blocks as one (one.id)}<option value={one.id}>{said(one)}</option>{/each}
  </select>
  {#each [{ name: 'Change', label: 'Change the block', groups: changes }, { name: 'Add', label: 'Add a block', groups: additions }] as { name, label, groups } (name)}
    {#if groups.length > 0}
      <Menu {label} {groups} {name} says={label} act />
    {/if}
  {/each}
</div>
