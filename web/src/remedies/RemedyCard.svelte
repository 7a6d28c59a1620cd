<script lang="ts">
  /** One way out: the worst spot before and after, what changes, what it brings and what it keeps. */
  import type { Remedy } from '../api/types';
  import Pair from '../parts/Pair.svelte';
  import Verdict from '../parts/Verdict.svelte';
  import WayCard from './WayCard.svelte';
  import { useBench } from '../state/context';

  let { remedy }: { remedy: Remedy } = $props();
  const { ways } = useBench();
</script>

<WayCard way={remedy}>
  <Pair before={remedy.before} after={remedy.after} of="The worst spot" />
  <p class="what clamped" title={remedy.sentence}>{remedy.sentence}</p>
  <div class="mt-auto flex items-center gap-1.5">
    <Verdict says={remedy.meets ? 'enough' : 'short'} />
    <b class={remedy.meets ? 'text-success' : 'text-warning'}>{remedy.shown}</b>
    <span class="muted truncate text-small" title="The worst reading afterwards">
      of {remedy.required}, {remedy.situation}</span
    >
    <button
      type="button"
      class="btn btn-primary ml-auto h-[28px] min-h-0 px-3"
      onclick={() => void ways.apply(remedy)}>{remedy.meets ? 'Do this' : 'Nearest'}</button
    >
  </div>
</WayCard>

<style>
  .what {
    --lines: 3;
    flex: none;
    font-size: var(--text-small);
    line-height: 1.35;
  }
</style>
