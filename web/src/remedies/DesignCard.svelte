<script lang="ts">
  /** One whole page mended: the spot that was worst, before and after, what is done, what it keeps. */
  import type { Design } from '../api/types';
  import Pair from '../parts/Pair.svelte';
  import Verdict from '../parts/Verdict.svelte';
  import WayCard from './WayCard.svelte';
  import { useBench } from '../state/context';

  let { design }: { design: Design } = $props();
  const { ways } = useBench();
  const alone = $derived(design.done.length === 1 && design.left.length === 0);
  const enough = $derived(design.left.length === 0);
</script>

<WayCard way={design}>
  <Pair before={design.before} after={design.after} of="The worst spot of '{design.words}'" />
  <!-- what is said scrolls, so the keyboard must come to it -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <ul class="what" tabindex="0" aria-label="What is done">
    {#each design.done as { words, sentence }, n (n)}
      <li>
        {#if !alone}<b>{words}</b>:
        {/if}{sentence}
      </li>
    {/each}
    {#if design.many}<li class="text-warning">{design.helps} kinds of help: fewer do not suffice.</li>{/if}
    {#if design.left.length > 0}
      <li class="text-warning">Nothing was found for {design.left.map((w) => `'${w}'`).join(', ')}.</li>
    {/if}
  </ul>
  <div class="mt-auto flex items-center gap-1.5">
    <Verdict says={enough ? 'enough' : 'short'} />
    <span class="muted text-small whitespace-nowrap">{design.was} →</span>
    <b class={enough ? 'text-success' : 'text-warning'}>{design.shown}</b>
    <span class="muted truncate text-small" title="There: {design.situation}">
      of {design.required}, {design.situation}</span
    >
    {#if design.done.length > 0}
      <button
        type="button"
        class="btn btn-primary ml-auto h-[28px] min-h-0 shrink-0 px-3"
        onclick={() => void ways.keepDesign(design)}>Do this</button
      >
    {/if}
  </div>
</WayCard>

<style>
  .what {
    flex: 1 0 34px;
    overflow-y: auto;
    font-size: var(--text-small);
    line-height: 1.35;
  }
</style>
