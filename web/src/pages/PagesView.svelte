<script lang="ts">
  /** The pages of the site beside each other: true pictures, verdicts, addresses; new ones, copies, their order. */
  import { Refused } from '../api/answer';
  import * as client from '../api/client';
  import type { PagesFound } from '../api/types';
  import { useBench } from '../state/context';
  import Starts from '../parts/Starts.svelte';
  import PageCard from './PageCard.svelte';

  const { doc, edits, place, selection, shared } = useBench();
  /** null: not fetched yet. */
  let found = $state.raw<PagesFound | null>(null);
  let failed = $state('');
  let list = $state<HTMLElement>();

  const revision = $derived(doc.state?.revision);
  $effect(() => {
    if (revision === undefined) return;
    shared.follow();
    void fetchAll();
  });

  async function fetchAll(): Promise<void> {
    failed = '';
    try {
      found = await client.pages();
    } catch (error) {
      // a newer question of this window has taken its place
      if (error instanceof Refused && error.status === 410) return;
      failed = error instanceof Error ? error.message : 'The pages cannot be looked at now.';
    }
  }

  // pages are moved before their verdicts are there again
  const order = $derived((doc.site?.pages ?? []).filter((page) => !page.loose).map((page) => page.id));
  const rows = $derived(
    order.flatMap((id) => {
      const page = doc.site?.pages.find((p) => p.id === id);
      return page ? [{ page, row: found?.pages.find((r) => r.page === id) ?? null }] : [];
    }),
  );

  const add = (start: string) =>
    void edits.edit({ kind: 'add-page', start, after: selection.page?.id ?? null }, turn);

  /** Look at another page: one that has come, or that is left. */
  function turn(id: string): void {
    selection.choosePage(id);
    focus(id);
  }

  /** The card of a page, once it is there. */
  function focus(id: string): void {
    requestAnimationFrame(() => {
      const card = list?.querySelector<HTMLElement>(`[data-page="${CSS.escape(id)}"] button`);
      card?.scrollIntoView({ block: 'nearest' });
      card?.focus({ preventScroll: true });
    });
  }

  function move(id: string, to: number): void {
    if (to < 0 || to >= order.length) return;
    void edits.edit({ kind: 'move-page', page: id, to }, focus);
  }
</script>

<main class="overview">
  <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <h2 class="display-face text-head">Pages</h2>
    <p role="status">
      {#if failed}<span class="text-error">{failed}</span>
        <button type="button" class="quiet act" onclick={() => void fetchAll()}>Try again</button>
      {:else if !found}<span class="muted">Reading every page …</span>
      {:else}<span class:text-warning={found.short} class:text-success={found.good}>{found.sentence}</span
        >{/if}
    </p>
  </div>
  <ul class="overview-cards" aria-label="Pages of the site" bind:this={list}>
    {#each rows as { page, row }, n (page.id)}
      <li data-page={page.id}>
        <PageCard
          {page}
          {row}
          number={n}
          count={rows.length}
          chosen={selection.page?.id === page.id}
          open={() => {
            selection.choosePage(page.id);
            place.go('bench');
          }}
          move={(by) => move(page.id, n + by)}
          {turn}
        />
      </li>
    {/each}
    <li class="overview-new">
      <Starts
        title="A new page{selection.page ? ` behind ${selection.page.title}` : ''}, beginning with"
        starts={found?.starts ?? []}
        begin={add}
      />
    </li>
  </ul>
</main>
