<script lang="ts">
  /** All sites: a true picture, a verdict, the last change of each; new ones, copies, and those that were removed. */
  import { onMount, tick } from 'svelte';
  import { Refused } from '../api/answer';
  import * as client from '../api/client';
  import { siteId } from '../api/site';
  import type { SitesFound } from '../api/types';
  import { useBench } from '../state/context';
  import Starts from '../parts/Starts.svelte';
  import SiteCard from './SiteCard.svelte';
  import { when } from './when';

  const { edits, notices, place } = useBench();
  /** null: not fetched yet. */
  let found = $state.raw<SitesFound | null>(null);
  let failed = $state('');
  let busy = $state(false);
  let list = $state<HTMLElement>();
  let picker = $state<HTMLInputElement>();

  onMount(() => void fetchAll());

  async function fetchAll(): Promise<void> {
    failed = '';
    try {
      found = await client.sites();
    } catch (error) {
      // a newer question of this window has taken its place
      if (error instanceof Refused && error.status === 410) return;
      failed = error instanceof Error ? error.message : 'The sites cannot be looked at now.';
    }
  }

  /** Do something with the list; what is refused is told, and the list stays as it was. */
  async function act(call: () => Promise<SitesFound | null>): Promise<void> {
    busy = true;
    try {
      await edits.settle();
      found = (await call()) ?? found;
    } catch (error) {
      notices.tell(error);
    } finally {
      busy = false;
    }
  }

  /** Another site is another document of the browser's: nothing of this one can be done to that one. */
  async function open(site: string): Promise<void> {
    await edits.settle();
    if (site === siteId()) place.go('bench');
    else window.location.assign(`?${new URLSearchParams({ site })}`);
  }

  const begin = (start: string) =>
    act(async () => {
      await open((await client.newSite(start)).site);
      return null;
    });

  function opened(file: File | undefined): void {
    if (file)
      void act(async () => {
        await open((await client.openAsSite(file)).site);
        return null;
      });
  }

  async function move(site: string, to: number): Promise<void> {
    if (to < 0 || to >= (found?.sites.length ?? 0)) return;
    await act(() => client.moveSite(site, to));
    await focus(site);
  }

  async function focus(site: string): Promise<void> {
    await tick();
    const card = list?.querySelector<HTMLElement>(`[data-site="${CSS.escape(site)}"] button`);
    card?.scrollIntoView({ block: 'nearest' });
    card?.focus({ preventScroll: true });
  }

  const copy = (site: string) =>
    act(async () => {
      const made = await client.copySite(site);
      notices.say(`${made.name} is a site of its own.`);
      return client.sites();
    });

  function remove(site: string, name: string): void {
    void act(async () => {
      const left = await client.removeSite(site);
      notices.say(`${name} was removed. All that it has is kept; it can be brought back below.`);
      // what is worked on must be there
      const other = left.sites[0]?.site;
      if (site === siteId() && other)
        window.location.assign(`?${new URLSearchParams({ view: 'sites', site: other })}`);
      return left;
    });
  }
</script>

<main class="overview" aria-busy={busy}>
  <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <h2 class="display-face text-head">Sites</h2>
    <p role="status">
      {#if failed}<span class="text-error">{failed}</span>
        <button type="button" class="quiet act" onclick={() => void fetchAll()}>Try again</button>
      {:else if !found}<span class="muted">Reading every site …</span>{/if}
    </p>
  </div>
  <ul class="overview-cards" aria-label="Sites" bind:this={list}>
    {#each found?.sites ?? [] as row, n (row.site)}
      <li data-site={row.site}>
        <SiteCard
          {row}
          first={n === 0}
          last={n === (found?.sites.length ?? 0) - 1}
          alone={found?.sites.length === 1}
          chosen={row.site === siteId()}
          open={() => void open(row.site)}
          move={(by) => void move(row.site, n + by)}
          copy={() => void copy(row.site)}
          remove={() => remove(row.site, row.name)}
          renamed={() => void fetchAll()}
        />
      </li>
    {/each}
    <li class="overview-new">
      <Starts
        title="A new site, its page beginning with"
        starts={found?.starts ?? []}
        off={busy}
        begin={(start) => void begin(start)}
      />
      <button type="button" class="quiet act -ml-2" disabled={busy} onclick={() => picker?.click()}
        >Out of a site file …</button
      >
      <input
        bind:this={picker}
        type="file"
        accept=".zip,application/zip"
        class="sr-only"
        tabindex="-1"
        aria-label="A site file"
        onchange={(e) => {
          opened(e.currentTarget.files?.[0]);
          e.currentTarget.value = '';
        }}
      />
    </li>
    {#if found && found.removed.length > 0}
      <li class="overview-new">
        <p class="font-semibold">Removed, with all that they have</p>
        {#each found.removed as gone (gone.site)}
          <p class="flex items-baseline gap-2">
            <span>{gone.name}</span> <span class="muted text-small">{when(gone.removed)}</span>
            <button
              type="button"
              class="quiet act"
              aria-label="Bring back {gone.name}"
              onclick={() => void act(() => client.bringSiteBack(gone.site))}>Bring back</button
            >
          </p>
        {/each}
      </li>
    {/if}
  </ul>
</main>
