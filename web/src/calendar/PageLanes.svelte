<script lang="ts">
  /** The days of a page, a lane for each place in which something may stand. */
  import type { CalendarFound } from '../api/types';
  import { shortDay } from './days';

  type Props = {
    lanes: CalendarFound['pages'][number]['lanes'];
    days: string[];
    places: CalendarFound['places'];
  };
  let { lanes, days, places }: Props = $props();

  const share = (n: number) => `${(100 * n) / days.length}%`;
  const span = (from: number, to: number) => `left:${share(from)};width:${share(to - from + 1)}`;
</script>

<div class="flex flex-col">
  {#each lanes as lane (lane.place)}
    <div class="lane">
      {#each lane.runs as run (run.first)}
        <span
          class="run"
          class:nothing={run.bands.length === 0}
          style={span(run.first, run.last)}
          title="{shortDay(days[run.first] ?? '')} to {shortDay(days[run.last] ?? '')}, {places[
            lane.place
          ]}: {run.title || 'nothing'}">{run.last - run.first > 1 ? run.title : ''}</span
        >
      {/each}
    </div>
  {:else}
    <div class="lane"><span class="run nothing" style={span(0, days.length - 1)}></span></div>
  {/each}
</div>

<style>
  .lane {
    position: relative;
    z-index: 1;
    height: 22px;
  }
  .run {
    position: absolute;
    inset-block: 1px;
    overflow: hidden;
    padding: 0 6px;
    font-size: var(--text-small);
    line-height: 20px;
    text-overflow: ellipsis;
    white-space: nowrap;
    border-left: 2px solid var(--color-success);
    background: color-mix(in oklab, var(--color-success) 14%, var(--color-base-100));
  }
  .nothing {
    border-left-color: color-mix(in oklab, var(--color-base-content) 25%, transparent);
    background: none;
  }
</style>
