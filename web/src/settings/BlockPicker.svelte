<script lang="ts">
  /** Which block of words of the band is being set. */
  import type { Bench } from '../bench/bench.svelte';

  let { bench }: { bench: Bench } = $props();
</script>

<div class="flex min-w-0 gap-3 pl-2" role="group" aria-label="Block of words">
  {#each bench.blocks as one (one.id)}
    <button
      type="button"
      class="pick"
      aria-pressed={one.id === bench.block?.id}
      onclick={() => (bench.blockId = one.id)}>{one.wording?.split('\n')[0] || 'no words yet'}</button
    >
  {/each}
</div>

<style>
  .pick {
    min-height: 28px;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    border-bottom: 2px solid transparent;
    cursor: pointer;
  }
  .pick[aria-pressed='true'] {
    border-color: var(--color-primary);
    font-weight: 600;
  }
</style>
