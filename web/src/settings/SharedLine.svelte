<script lang="ts">
  /** Where what is chosen is the same on several pages: what a change here changes, and the way out and back. */
  import { doings } from '../state/shared.svelte';
  import { useBench } from '../state/context';

  const { doc, edits, selection, shared } = useBench();

  $effect(() => {
    if (doc.revision >= 0) shared.follow();
  });

  const page = $derived(selection.page?.id);
  const area = $derived(
    selection.cardId === 'words' ? (selection.block?.id ?? selection.area?.id) : selection.area?.id,
  );
  const part = $derived(shared.partOf(page, area));
  // a banner's words are each page's own, its style is not
  const told = $derived(
    part &&
      (part.state === 'shared' || part.state === 'out') &&
      !(part.part === 'banner' && selection.cardId === 'words')
      ? part
      : undefined,
  );
  const doing = $derived(told && page ? doings(shared, page, told)[0] : undefined);
</script>

{#if told && doing}
  <p class="line text-small" class:out={told.state === 'out'}>
    <span class="truncate" title={told.sentence}>{told.sentence}</span>
    <button type="button" class="quiet act" onclick={() => void edits.edit(doing.edit, undefined, false)}
      >{doing.name}</button
    >
  </p>
{/if}

<style>
  .line {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    margin-bottom: 4px;
    padding-left: 10px;
    border-left: 4px solid var(--color-primary);
    white-space: nowrap;
  }
  .out {
    border-left-color: color-mix(in oklab, var(--color-base-content) 40%, transparent);
  }
</style>
