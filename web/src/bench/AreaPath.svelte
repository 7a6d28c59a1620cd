<script lang="ts">
  /** Which area is being painted: the page, its joins, its bands, and the columns of the chosen band. */
  import type { Bench } from './bench.svelte';
  import AreaActions from './AreaActions.svelte';
  import { joined } from './tree';

  let { bench }: { bench: Bench } = $props();

  const verdict = $derived.by(() => {
    const short = bench.short;
    if (bench.readings.length === 0) return { text: '', short: false };
    if (short.length === 0) return { text: 'Every word can be read on every screen.', short: false };
    const blocks = new Set(short.map((r) => r.block)).size;
    const names = bench.screens
      .filter((s) => short.some((r) => r.screen === s.id))
      .map((s) => s.name.toLowerCase());
    const where =
      names.length === bench.screens.length ? 'on every screen' : `on the ${names.join(' and the ')}`;
    const what = blocks === 1 ? 'One block of words falls' : `${blocks} blocks of words fall`;
    return { text: `${what} short ${where}.`, short: true };
  });

  const pages = $derived(bench.site?.pages ?? []);
  const plates = $derived(bench.areas.filter((a) => a.kind === 'block' && a.band?.id === bench.band?.id));
  const columns = $derived(bench.areas.filter((a) => a.kind === 'column' && a.band?.id === bench.band?.id));
  const joins = $derived(
    (bench.page?.joins ?? []).map((join) => ({
      join,
      bands: bench.page ? joined(bench.page, join).map((b) => b.id) : [],
    })),
  );
  const joinBefore = (band: string) => joins.find((j) => j.bands[0] === band)?.join;
</script>

<div class="flex h-9 shrink-0 items-center justify-between gap-4 px-6">
  <nav aria-label="Area" class="path">
    {#if pages.length > 1}
      <select
        class="pages"
        aria-label="Page"
        value={bench.page?.id}
        onchange={(e) => bench.choosePage(e.currentTarget.value)}
      >
        {#each pages as page (page.id)}<option value={page.id}>{page.title}</option>{/each}
      </select>
    {:else}
      <span class="muted pr-1">{bench.page?.title}</span>
    {/if}
    <button
      type="button"
      class="quiet"
      class:chosen={bench.area?.kind === 'page'}
      aria-pressed={bench.area?.kind === 'page'}
      title="The page's own background, behind everything"
      onclick={() => bench.choose(bench.page?.id ?? '')}>Page</button
    >
    {#each bench.bands as band (band.id)}
      {@const join = joinBefore(band.id)}
      {#if join}
        <button
          type="button"
          class="quiet join"
          class:chosen={bench.area?.id === join.id}
          aria-pressed={bench.area?.id === join.id}
          title="One backdrop behind {join.name}"
          onclick={() => bench.choose(join.id)}>{join.name}</button
        >
      {/if}
      <span class="text-base-300" aria-hidden="true">/</span>
      <button
        type="button"
        class="quiet"
        class:chosen={bench.area?.kind === 'band' && band.id === bench.area.id}
        class:around={(bench.area?.kind === 'column' || bench.area?.kind === 'block') &&
          band.id === bench.band?.id}
        class:inside={joins.some((j) => j.bands.includes(band.id))}
        aria-pressed={band.id === bench.area?.id}
        onclick={() => bench.choose(band.id)}>{band.name}</button
      >
      {#if band.id === bench.band?.id && columns.length > 1}
        {#each columns as column, n (column.id)}
          <button
            type="button"
            class="quiet column"
            class:chosen={column.id === bench.area?.id}
            aria-pressed={column.id === bench.area?.id}
            aria-label="{band.name}, column {n + 1}"
            title="Column {n + 1} of {band.name}"
            onclick={() => bench.choose(column.id)}>{n + 1}</button
          >
        {/each}
      {/if}
      {#if band.id === bench.band?.id}
        {#each plates as plate (plate.id)}
          <button
            type="button"
            class="quiet"
            class:chosen={plate.id === bench.area?.id}
            aria-pressed={plate.id === bench.area?.id}
            title={plate.name}
            onclick={() => bench.choose(plate.id)}>{plate.name.slice(0, 18)}</button
          >
        {/each}
      {/if}
    {/each}
    <AreaActions {bench} />
  </nav>
  <div class="flex min-w-0 items-center gap-1">
    {#if bench.situation}
      <span class="whitespace-nowrap">Shown: <b>{bench.situation.name}</b></span>
      <button type="button" class="quiet act whitespace-nowrap" onclick={() => bench.meet(null)}
        >At rest again</button
      >
    {/if}
    <p
      class="truncate font-semibold"
      role="status"
      class:text-warning={verdict.short}
      class:text-success={!verdict.short}
    >
      {verdict.text}
    </p>
    {#if verdict.short}
      <label
        class="muted ml-2 flex cursor-pointer items-center gap-1 whitespace-nowrap"
        title="Mark the letters that fall short, on the screens (M)"
      >
        <input type="checkbox" bind:checked={bench.marked} /> marks
      </label>
      <button
        type="button"
        class="quiet act whitespace-nowrap"
        title="How these words can be read at the least cost to the picture (R)"
        aria-pressed={bench.ways.open}
        onclick={() => bench.ways.toggle()}>Ways out</button
      >
    {/if}
  </div>
</div>

<style>
  .path {
    display: flex;
    align-items: center;
    flex: none;
    max-width: 66%;
    overflow-x: auto;
    scrollbar-width: none;
  }
  .path button {
    white-space: nowrap;
  }
  .chosen {
    font-weight: 700;
    text-decoration: underline;
    text-decoration-color: var(--color-primary);
    text-decoration-thickness: 2px;
    text-underline-offset: 6px;
  }
  .around {
    font-weight: 700;
  }
  .join {
    border: 1px dashed var(--color-primary);
    min-height: 24px;
    padding: 0 6px;
    margin: 0 4px;
    font-size: 12.5px;
  }
  .inside {
    font-style: italic;
  }
  .column {
    min-width: 28px;
    padding: 0;
    text-align: center;
  }
  .pages {
    min-height: 28px;
    padding-right: 4px;
    background: transparent;
    font-weight: 600;
    cursor: pointer;
  }
</style>
