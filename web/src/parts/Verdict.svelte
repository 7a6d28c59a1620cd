<script lang="ts">
  /** A verdict's own shape: a leaf for what can be read, a broken wedge for what falls short, a broken ring for what
   * cannot be vouched for, an open one for what was not read. */
  import type { ReadingVerdict } from '../api/types';

  let { says }: { says: ReadingVerdict } = $props();
</script>

{#if says === 'unsure'}
  <svg viewBox="0 0 12 12" class="text-neutral" role="img" aria-label="cannot be vouched for">
    <circle cx="6" cy="6" r="4" fill="none" stroke="currentColor" stroke-width="2" stroke-dasharray="3 2" />
  </svg>
{:else if says === 'unread'}
  <svg viewBox="0 0 12 12" class="text-neutral" role="img" aria-label="was not read">
    <circle cx="6" cy="6" r="4" fill="none" stroke="currentColor" stroke-width="1.500" />
  </svg>
{:else if says === 'enough'}
  <svg viewBox="0 0 12 12" class="text-success" role="img" aria-label="can be read">
    <path d="M1.500 10.500C1 4 5 1 11 1c0 6-3 10-9.500 9.500Z" fill="currentColor" />
  </svg>
{:else}
  <svg viewBox="0 0 12 12" class="text-warning" role="img" aria-label="falls short">
    <path d="M0 1h12L8.500 6 10 11 6 8.500 3 11 3.500 6Z" fill="currentColor" />
  </svg>
{/if}

<style>
  svg {
    width: 11px;
    height: 11px;
    flex: none;
  }
</style>
