<script lang="ts">
  /** The marks of the screens on which a setting differs; a click makes it the same everywhere. */
  import type { Bench } from '../bench/bench.svelte';
  import { differing } from '../bench/exceptions';

  type Props = { bench: Bench; item: { id: string; screens?: Record<string, object> }; fields: string[] };
  let { bench, item, fields }: Props = $props();

  const marks = $derived(
    differing(item, fields).map((id) => bench.screens.find((s) => s.id === id)?.name ?? id),
  );

  async function putBack(): Promise<void> {
    for (const field of fields)
      await bench.edit({ kind: 'same-everywhere', page: bench.page?.id ?? '', item: item.id, field });
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
    font-size: 12px;
    font-weight: 600;
    color: var(--color-primary);
    border-left: 3px solid var(--color-primary);
    background: color-mix(in oklab, var(--color-primary) 9%, transparent);
    cursor: pointer;
    white-space: nowrap;
  }
</style>
