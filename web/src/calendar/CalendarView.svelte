<script lang="ts">
  /** Where and when: bands that rules show, and what stands on each page, day by day over eight weeks. */
  import * as client from '../api/client';
  import type { CalendarFound } from '../api/types';
  import { arrow, pull, type Spot } from '../parts/pull';
  import { useBench } from '../state/context';
  import { Latest } from '../state/latest';
  import BandRules from './BandRules.svelte';
  import BandSpans from './BandSpans.svelte';
  import DayShown from './DayShown.svelte';
  import PageLanes from './PageLanes.svelte';
  import Weeks from './Weeks.svelte';
  import { later, longDay, shortDay, weekend } from './days';

  const { doc, place, selection } = useBench();
  let found = $state.raw<CalendarFound | null>(null);
  let failed = $state('');
  /** The first day in sight; '' for this week's Monday. */
  let first = $state('');
  const asking = new Latest();

  $effect(() => {
    if (doc.revision >= 0) ask(first);
  });

  function ask(from: string): void {
    asking.run(async () => {
      try {
        found = await client.calendar(from);
        failed = '';
      } catch (error) {
        failed = error instanceof Error ? error.message : 'The calendar cannot be looked at now.';
      }
    });
  }

  const days = $derived(found?.days ?? []);
  const count = $derived(days.length || 56);
  const day = $derived(selection.day ?? found?.today ?? '');
  const at = $derived(days.indexOf(day));
  const today = $derived(days.indexOf(found?.today ?? ''));
  const band = $derived(found?.bands.find((b) => b.page === place.item) ?? found?.bands[0]);
  const page = $derived(found?.pages.find((p) => p.page === selection.page?.id) ?? found?.pages[0]);

  const left = (n: number) => `${(100 * n) / count}%`;
  const span = (from: number, to: number) => `left:${left(from)};width:${left(to - from + 1)}`;

  function choose(number: number): void {
    const wanted = days[Math.min(count - 1, Math.max(0, number))];
    if (wanted) selection.look(wanted);
  }

  const ruler = {
    begin: (spot: Spot) => choose(Math.floor(spot.x * count)),
    move: (spot: Spot) => choose(Math.floor(spot.x * count)),
  };

  function key(event: KeyboardEvent): void {
    const by = arrow(event);
    if (!by || by[0] === 0 || !day) return;
    event.preventDefault();
    const wanted = later(day, Math.round(by[0] > 5 || by[0] < -5 ? Math.sign(by[0]) * 7 : Math.sign(by[0])));
    selection.look(wanted);
    if (!days.includes(wanted)) first = later(days[0] ?? wanted, by[0] > 0 ? 28 : -28);
  }
</script>

<main class="calendar foot-room">
  <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <h2 class="display-face text-head">Calendar</h2>
    <p role="status" class="min-w-[min(100%,230px)] flex-1">
      {#if failed}<span class="text-error">{failed}</span>
        <button type="button" class="quiet act" onclick={() => ask(first)}>Try again</button>
      {:else if !found}<span class="muted">Looking at every day …</span>
      {:else if found.bands.length === 0}<span class="muted"
          >The same stands every day. A band can be shown on some pages, on some days, or in turn with others.</span
        >
      {:else}<b>{longDay(day)}</b>{/if}
    </p>
    <Weeks
      zone={found?.zone}
      go={(weeks) => (first = later(days[0] ?? '', 7 * weeks))}
      today={() => {
        first = '';
        selection.look(null);
      }}
    />
  </div>
  {#if found}
    <div class="table" role="group" aria-label="What stands where, day by day">
      <div class="row ruler">
        <span class="muted text-small">press or pull a day</span>
        <div
          class="track"
          role="slider"
          tabindex="0"
          aria-label="Day"
          aria-valuemin={0}
          aria-valuemax={count - 1}
          aria-valuenow={Math.max(0, at)}
          aria-valuetext={longDay(day)}
          title="Press or pull to choose a day; arrows go by days, with Shift by weeks"
          onkeydown={key}
          {@attach pull(ruler)}
        >
          {#each days as iso, n (iso)}
            {#if n % 7 === 0}<span class="week" style:left={left(n)}>{shortDay(iso)}</span>{/if}
          {/each}
        </div>
      </div>
      {#each found.bands as one (one.page)}
        <div class="row">
          <button
            type="button"
            class="name"
            aria-pressed={one.page === band?.page}
            title={one.never ? `${one.title}, never to be seen: ${one.never}` : one.title}
            onclick={() => place.pick(one.page)}
          >
            <span class="truncate">{one.title}</span>
            {#if one.never}<span class="text-warning text-small whitespace-nowrap">never seen</span>{/if}
          </button>
          <div class="track">
            <BandSpans band={one} {days} chosen={one.page === band?.page} />
          </div>
        </div>
      {/each}
      {#if found.bands.length > 0}<p class="heading muted text-small pt-1">What stands on each page</p>{/if}
      {#each found.pages as one (one.page)}
        <div class="row">
          <button
            type="button"
            class="name"
            aria-pressed={one.page === page?.page}
            title={one.title}
            onclick={() => selection.choosePage(one.page)}><span class="truncate">{one.title}</span></button
          >
          <PageLanes lanes={one.lanes} {days} places={found.places} />
        </div>
      {/each}
      <div class="marks" aria-hidden="true">
        {#each days as iso, n (iso)}
          {#if weekend(iso)}<span class="weekend" style={span(n, n)}></span>{/if}
        {/each}
        {#if today >= 0}<span class="today" style={span(today, today)}></span>{/if}
        {#if at >= 0}<span class="chosen-day" style={span(at, at)}></span>{/if}
      </div>
    </div>
    <div class="below">
      <div class="min-w-0">
        {#if band}
          <BandRules {band} {found} {day} />
        {:else}
          <p class="muted max-w-[60ch]">
            Begin one here, or take a band of a page: on the bench, under Change areas, “Show it by rules”.
          </p>
        {/if}
      </div>
      <div class="min-w-0">
        {#if found.said.length > 0}
          <h3 class="font-semibold">Gaps and overlaps</h3>
          <ul class="text-small max-h-[132px] overflow-y-auto">
            {#each found.said as text (text)}<li class="py-0.5">{text}</li>{/each}
          </ul>
        {:else if found.bands.length > 0}
          <p class="muted text-small">No gaps and no overlaps in these weeks.</p>
        {/if}
      </div>
      {#if page && day}<DayShown page={page.page} title={page.title} {day} revision={doc.revision} />{/if}
    </div>
  {/if}
</main>

<style>
  .calendar {
    display: flex;
    flex-direction: column;
    gap: 10px;
    min-height: 0;
    padding: 16px 24px 12px;
    overflow-y: auto;
  }
  .table {
    --names: 190px;
    position: relative;
    display: flex;
    flex: none;
    flex-direction: column;
    gap: 2px;
  }
  .row {
    display: grid;
    grid-template-columns: var(--names) minmax(0, 1fr);
    align-items: center;
    min-height: 28px;
  }
  .name {
    display: flex;
    align-items: center;
    gap: 8px;
    min-width: 0;
    min-height: 28px;
    padding-right: 12px;
    text-align: left;
    cursor: pointer;
  }
  .name[aria-pressed='true'] {
    font-weight: 700;
    color: var(--color-primary);
  }
  .heading {
    max-width: var(--names);
    padding-right: 12px;
  }
  .track {
    position: relative;
    z-index: 1;
    height: 24px;
  }
  /* dates are read over the line of the chosen day */
  .ruler .track {
    z-index: 3;
    cursor: ew-resize;
  }
  .week {
    position: absolute;
    bottom: 2px;
    padding-left: 3px;
    font-size: var(--text-small);
    white-space: nowrap;
    border-left: 1px solid color-mix(in oklab, var(--color-base-content) 40%, transparent);
    pointer-events: none;
  }
  .marks {
    position: absolute;
    inset: 0 0 0 var(--names);
    pointer-events: none;
  }
  .marks span {
    position: absolute;
    inset-block: 0;
  }
  .weekend {
    background: color-mix(in oklab, var(--color-base-content) 5%, transparent);
  }
  .today {
    border-inline: 1px dashed color-mix(in oklab, var(--color-base-content) 50%, transparent);
  }
  .chosen-day {
    z-index: 2;
    border-inline: 2px solid var(--color-primary);
  }
  .below {
    display: grid;
    flex: none;
    grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr) 300px;
    gap: 24px;
    padding-top: 10px;
    border-top: 1px solid var(--color-base-300);
  }
  @container frame (max-width: 900px) {
    .table {
      --names: 120px;
    }
    /* each second date stands alone where two would lie on each other */
    .week:nth-of-type(even) {
      font-size: 0;
    }
    .below {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
