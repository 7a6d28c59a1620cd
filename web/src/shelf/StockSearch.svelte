<script lang="ts">
  /** The stand-in for a stock-picture service that ships with the application. */
  import * as client from '../api/client';
  import type { Stock } from '../api/types';
  import { NO_FILTER, type Filter } from './filter';
  import Filters from './Filters.svelte';
  import { useBench } from '../state/context';

  let { taken }: { taken: (asset: string) => void } = $props();
  const { edits, notices } = useBench();

  let filter = $state.raw<Filter>({ ...NO_FILTER });
  let offers = $state.raw<Stock[] | null>(null);
  let fetching = $state<string | null>(null);

  $effect(() => {
    const { word, colour, shape } = filter;
    let late = false;
    client
      .stock(word, colour, shape)
      .then((found) => {
        if (!late) offers = found;
      })
      .catch((error: unknown) => notices.tell(error));
    return () => (late = true);
  });

  async function take(offer: Stock): Promise<void> {
    fetching = offer.id;
    const then = edits.unlessTurned(taken);
    try {
      const { asset } = await client.takeStock(offer.id);
      const problem = await edits.edit({ kind: 'shelve-picture', asset }, then);
      if (problem?.kind === 'already-there') then(asset.id);
    } catch (error) {
      notices.tell(error);
    } finally {
      fetching = null;
    }
  }
</script>

<div class="flex flex-wrap items-center gap-3 pb-3">
  <Filters bind:filter moods={false} />
  <p class="muted">
    {offers ? `${offers.length} pictures` : ''} on loan; the credit line stays with the picture.
  </p>
</div>
{#if offers === null}
  <p class="muted p-6 text-center" aria-busy="true">Looking at what is on loan …</p>
{:else if offers.length === 0}
  <p class="p-6 text-center">
    Nothing on loan is like that.
    <button type="button" class="quiet act" onclick={() => (filter = { ...NO_FILTER })}>Show all</button>
  </p>
{/if}
<ul class="offers" aria-label="Pictures on loan">
  {#each offers ?? [] as offer (offer.id)}
    <li>
      <button
        type="button"
        class="loan"
        aria-label="Take {offer.title}"
        title={offer.credit}
        disabled={fetching !== null}
        onclick={() => void take(offer)}
      >
        <img
          src="/api/stock/{offer.id}/small"
          alt=""
          width={Math.round((offer.width * 132) / offer.height)}
          height="132"
        />
        <span>{fetching === offer.id ? 'Fetching …' : offer.title}</span>
      </button>
    </li>
  {/each}
</ul>

<style>
  .offers {
    display: flex;
    flex-wrap: wrap;
    gap: 14px;
    align-content: start;
    min-height: 0;
    flex: 1;
    overflow-y: auto;
    padding: 4px;
  }
  .loan {
    display: flex;
    flex-direction: column;
    text-align: left;
    cursor: pointer;
    font-size: var(--text-small);
  }
  .loan img {
    height: 132px;
    max-width: none;
  }
  .loan span {
    max-width: 198px;
  }
</style>
