<script lang="ts">
  /** Ways out for words that do not fit: the least change of each, how the spot looks before and after. */
  import { onDestroy, untrack } from 'svelte';
  import * as client from '../api/client';
  import Pair from '../parts/Pair.svelte';
  import type { Fit, FitWay } from '../api/types';
  import { useBench } from '../state/context';
  import { given } from '../state/target';

  let { row }: { row: Fit['rows'][number] } = $props();
  const { doc, edits, notices, selection } = useBench();

  let ways = $state.raw<FitWay[]>([]);
  let looking = $state(true);
  let abort = new AbortController();
  const of = untrack(() => doc.state?.document);

  $effect(() => {
    // sought for the state of the site in which it was opened; a change closes it
    void untrack(seek);
  });
  onDestroy(() => abort.abort());

  async function seek(): Promise<void> {
    const asked = { ...selection.asked, patch: [], block: row.block, misfit: row.misfit };
    abort = new AbortController();
    try {
      for await (const line of client.fitWays(asked, abort.signal))
        if (line.kind === 'way') ways = [...ways, line.found];
    } catch (error) {
      if (!abort.signal.aborted) notices.tell(error);
    }
    looking = false;
  }

  const keep = (way: FitWay) =>
    edits.keep(given(way.patch, of), `${way.title}: ${way.sentence}`.slice(0, 200));
</script>

<div class="ways" aria-label="Ways out for {row.title.toLowerCase()}" role="group">
  {#each ways as way (way.way + way.sentence)}
    <article class="card" aria-label={way.title}>
      <h3 class="font-semibold">{way.title}</h3>
      <Pair before={way.before} after={way.after} of="The spot" />
      <p>{way.sentence}</p>
      <button
        type="button"
        class="btn btn-primary mt-auto h-[28px] min-h-0 self-end px-3"
        onclick={() => void keep(way)}>Do this</button
      >
    </article>
  {/each}
  {#if looking}
    <p class="muted self-center">
      Looking for {ways.length > 0 ? 'more' : 'ways out'} …
      <button
        type="button"
        class="quiet act"
        onclick={() => {
          abort.abort();
          looking = false;
        }}>Stop</button
      >
    </p>
  {:else if ways.length === 0}
    <p class="muted self-center">
      Nothing was found that ends this alone and does no harm elsewhere. Other words, fewer of them, or
      another place may help.
    </p>
  {/if}
</div>

<style>
  .ways {
    display: flex;
    gap: 16px;
    min-height: 178px;
    padding: 6px 8px 10px;
    overflow-x: auto;
  }
  .card {
    display: flex;
    flex-direction: column;
    gap: 4px;
    flex: none;
    width: 306px;
  }
</style>
