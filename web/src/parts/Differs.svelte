<script lang="ts">
  /** The marks of the screens on which a setting differs; a click makes it the same everywhere. */
  import { differing } from '../state/screens';
  import { useBench } from '../state/context';

  type Props = { item: { id: string; screens?: Record<string, object> }; fields: string[] };
  let { item, fields }: Props = $props();
  const { doc, edits, selection } = useBench();

  const marks = $derived(
    differing(item, fields).map((id) => doc.screens.find((s) => s.id === id)?.name ?? id),
  );

  async function putBack(): Promise<void> {
    for (const field of fields)
      await edits.edit({ kind: 'same-everywhere', page: selection.page?.id ?? '', item: item.id, field });
  }
</script>

{#if marks.length > 0}
  <button type="button" class="mark" title="Make it the same on every screen" onclick={() => void putBack()}>
    {marks.join(', ')} <span aria-hidden="true">×</span><span class="sr-only">: the same everywhere</span>
  </button>
{/if}

<style>
  .mark {
    min-height: 22px;
    padding: 0 6px;
    font-size: var(--text-small);
    font-weight: 600;
    color: var(--color-primary);
    border-left: 3px solid var(--color-primary);
    background: color-mix(in oklab, var(--color-primary) 9%, transparent);
    cursor: pointer;
    white-space: nowrap;
  }
</style>
