<script lang="ts">
  /** Which area is being painted: the page, its joins, its bands, and the columns of the chosen band. */
  import { longDay, shortDay } from '../calendar/days';
  import AreaActions from './AreaActions.svelte';
  import Verdicts from './Verdicts.svelte';
  import { firstWords, joined, type Area } from '../state/tree';
  import { useBench } from '../state/context';
  import { whole } from '../parts/whole';

  const { banners, doc, selection, ways } = useBench();

  const pages = $derived(doc.site?.pages ?? []);
  const plates = $derived(
    selection.areas.filter((a) => a.kind === 'block' && a.band?.id === selection.band?.id),
  );
  const columns = $derived(
    selection.areas.filter((a) => a.kind === 'column' && a.band?.id === selection.band?.id),
  );
  const joins = $derived(
    (selection.page?.joins ?? []).map((join) => ({
      join,
      bands: selection.page ? joined(selection.page, join).map((b) => b.id) : [],
    })),
  );
  /** A column goes by the first words it holds, one without words by its own name. */
  const first = (column: Area) => firstWords(column.blocks) || column.name;
  let crumbs = $state<HTMLElement>();
  const area = $derived(selection.area?.id);
  /** Whichever area was chosen is scrolled into sight, from side to side alone: what lies around it stays. */
  $effect(() => {
    const chosen = area && crumbs?.querySelector('.chosen, .around');
    for (const row of [crumbs, crumbs?.parentElement]) {
      if (!chosen || !row) continue;
      const [at, room] = [chosen.getBoundingClientRect(), row.getBoundingClientRect()];
      row.scrollLeft += Math.max(0, at.right - room.right) - Math.max(0, room.left - at.left);
    }
  });
  const joinBefore = (band: string) => joins.find((j) => j.bands[0] === band)?.join;
</script>

<div class="areas">
  <div class="where">
    <nav aria-label="Area" class="path">
      {#if pages.length > 1}
        <select
          {@attach whole}
          class="pages"
          aria-label="Page"
          value={selection.page?.id}
          onchange={(e) => selection.choosePage(e.currentTarget.value)}
        >
          {#each pages as page (page.id)}<option value={page.id}
              >{page.title}{page.loose ? ' (shown by rules)' : ''}</option
            >{/each}
        </select>
      {:else}
        <span class="muted pr-1">{selection.page?.title}</span>
      {/if}
      <div class="crumbs" bind:this={crumbs}>
        {#if !selection.page?.loose}
          <button
            type="button"
            class="quiet"
            class:chosen={selection.area?.kind === 'page'}
            aria-pressed={selection.area?.kind === 'page'}
            title="The page's own background, behind everything"
            onclick={() => selection.choose(selection.page?.id ?? '')}>Page</button
          >
        {/if}
        {#each selection.bands as band (band.id)}
          {@const join = joinBefore(band.id)}
          {#if join}
            <button
              type="button"
              class="quiet join"
              class:chosen={selection.area?.id === join.id}
              aria-pressed={selection.area?.id === join.id}
              title="One backdrop behind {join.name}"
              onclick={() => selection.choose(join.id)}>{join.name}</button
            >
          {/if}
          <span class="text-base-300" aria-hidden="true">/</span>
          <button
            type="button"
            class="quiet"
            class:chosen={selection.area?.kind === 'band' && band.id === selection.area.id}
            class:around={(selection.area?.kind === 'column' || selection.area?.kind === 'block') &&
              band.id === selection.band?.id}
            class:inside={joins.some((j) => j.bands.includes(band.id))}
            aria-pressed={band.id === selection.area?.id}
            onclick={() => selection.choose(band.id)}>{band.name}</button
          >
          {#if band.id === selection.band?.id && columns.length > 1 && !banners.tried}
            {#each columns as column, n (column.id)}
              <button
                type="button"
                class="quiet"
                class:chosen={column.id === selection.area?.id}
                aria-pressed={column.id === selection.area?.id}
                aria-label="{band.name}, column {n + 1}: {first(column)}"
                title="Column {n + 1} of {band.name}"
                onclick={() => selection.choose(column.id)}>{first(column)}</button
              >
            {/each}
          {/if}
          {#if band.id === selection.band?.id}
            {#each plates as plate (plate.id)}
              <button
                type="button"
                class="quiet"
                class:chosen={plate.id === selection.area?.id}
                aria-pressed={plate.id === selection.area?.id}
                title={plate.name}
                onclick={() => selection.choose(plate.id)}>{plate.name.slice(0, 18)}</button
              >
            {/each}
          {/if}
        {/each}
      </div>
    </nav>
    <AreaActions />
    {#if banners.band}
      <button
        type="button"
        class="quiet act whitespace-nowrap"
        aria-pressed={banners.open}
        title="Six whole banners of {banners.band.name}, each by another idea (W)"
        onclick={() => {
          ways.close();
          banners.toggle();
        }}>Whole banners</button
      >
    {/if}
    {#if selection.day && !selection.page?.loose}
      <button
        type="button"
        class="quiet act whitespace-nowrap"
        title="The screens show this page as rules show it on this day. Show it without them"
        aria-label="Day {longDay(selection.day)}: show the page without what rules show"
        onclick={() => selection.look(null)}>{shortDay(selection.day)} ×</button
      >
    {/if}
  </div>
  <Verdicts />
</div>

<style>
  .where {
    display: flex;
    align-items: center;
    gap: 4px;
    min-width: 0;
    max-width: 100%;
  }
  .areas {
    display: flex;
    flex: none;
    align-items: center;
    gap: 4px;
    min-height: 36px;
    padding: 0 24px;
  }
  /* in a situation its name stands in a row of its own */
  .areas:has(> :global(.whole)) {
    flex-wrap: wrap;
  }
  @container bench (max-width: 1120px) {
    .areas {
      flex-wrap: wrap;
      gap: 0 12px;
      padding: 0 16px;
    }
  }
  .path,
  .crumbs {
    display: flex;
    align-items: center;
    min-width: 0;
    max-width: 100%;
    scrollbar-width: none;
  }
  .crumbs {
    overflow-x: auto;
  }
  /* by one hand all of it is scrolled: there is room for one name at a time */
  @container bench (max-width: 559px) {
    .path {
      overflow-x: auto;
    }
    .crumbs {
      flex: none;
      max-width: none;
    }
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
    font-size: var(--text-small);
  }
  .inside {
    font-style: italic;
  }
  /* the page's name stays whole while its areas are scrolled */
  .pages {
    flex: none;
    field-sizing: content;
    min-height: 28px;
    padding-right: 4px;
    background: transparent;
    font-weight: 600;
    cursor: pointer;
  }
</style>
