<script lang="ts">
  /** The whole page mended, by one idea each time: tried on the screens by resting on one, kept in one press. */
  import type { Design } from '../api/types';
  import DesignCard from './DesignCard.svelte';
  import { useBench } from '../state/context';

  let { designs }: { designs: Design[] } = $props();
  const { ways } = useBench();
  const least = $derived(designs.some((d) => d.idea === 'least'));
</script>

<p role="status" class="truncate">
  {#if designs.length === 0}
    Every word can be read already.
  {:else if ways.doing !== null}
    <span class="muted">Mending block by block{ways.doing ? `: ${ways.doing}` : ''} …</span>
  {:else if designs.length === 1 && least}
    No single idea serves a whole area here: each block is mended by itself.
  {:else}
    Whole pages, each by one idea. Rest on one to see it on the screens.
  {/if}
</p>
<ol class="cards">
  {#each designs as design (design.idea)}
    <li><DesignCard {design} /></li>
  {/each}
  <li class="flex w-[190px] shrink-0 flex-col items-start justify-center gap-1">
    {#if designs.length > 0 && !least}
      <button
        type="button"
        class="quiet act text-left"
        disabled={ways.doing !== null}
        title="Each block of words by its own best way out. It changes the pictures least, and may look like several hands."
        onclick={() => void ways.mendPage(true)}>Least change, block by block</button
      >
    {/if}
    <button type="button" class="quiet act" onclick={() => ways.leaveDesigns()}>Leave it as it is</button>
  </li>
</ol>

<style>
  .cards {
    display: flex;
    flex: 1;
    gap: 20px;
    min-height: 178px;
    padding-bottom: 10px;
    overflow: auto hidden;
  }
</style>
