<script lang="ts">
  /** What contrast cannot see: words that do not fit, one trouble a row, where it is met, and ways out of it. */
  import FitWays from './FitWays.svelte';
  import Progress from '../parts/Progress.svelte';
  import Verdict from '../parts/Verdict.svelte';
  import type { Fit, Situation } from '../api/types';
  import { useBench } from '../state/context';

  const { findings, place, selection, sight } = useBench();

  const { fit } = findings;
  const found = $derived(findings.fitNow);
  /** What was found before stays in sight while it is looked at anew. */
  const shown = $derived<Fit | null>(
    found ?? (fit.found?.page === selection.page?.id ? (fit.found?.value ?? null) : null),
  );
  /** The row whose ways out are open. */
  let open = $state('');

  $effect(() => {
    if (!found && selection.page && !fit.stopped) void findings.lookAtFit();
  });

  const layout = (id: string) => shown?.layouts.find((l) => l.id === id);

  function go(situation: Situation, block: string): void {
    selection.chooseBlock(block);
    sight.bring(situation.screen);
    sight.meet(situation.at_rest ? null : situation);
    place.go('bench');
  }
</script>

<section aria-labelledby="fit" class="flex flex-col gap-1">
  <div class="flex min-h-8 flex-wrap items-center gap-x-6 gap-y-1">
    <h2 id="fit" class="display-face text-head">Fit</h2>
    {#if fit.share !== null && !shown}
      <Progress
        label="Looking whether words fit"
        share={fit.share}
        doing={fit.doing}
        stop={() => fit.stop()}
      />
    {:else if !found && fit.stopped}
      <p class="text-small">
        It was stopped{shown ? '; what is shown is from before the last change' : ''}.
        <button type="button" class="quiet act" onclick={() => void findings.lookAtFit()}
          >Look whether words fit</button
        >
      </p>
    {:else if shown}
      <p role="status" class="font-semibold {shown.good ? 'text-success' : 'text-warning'}">
        {shown.sentence}
      </p>
    {/if}
  </div>
  {#if shown && shown.rows.length > 0}
    <ul class="rows" class:stale={!found}>
      {#each shown.rows as row (`${row.misfit} ${row.block}`)}
        {@const key = `${row.misfit} ${row.block}`}
        <li>
          <div class="row">
            <span class="flex w-[150px] shrink-0 items-center gap-1.5">
              {#if row.grave}<Verdict says="short" />{:else}<span class="dot" aria-hidden="true"></span>{/if}
              <b class:text-warning={row.grave}>{row.title}</b>
            </span>
            <span class="min-w-[220px] flex-1">{row.sentence}</span>
            <span class="flex flex-wrap items-center gap-x-1">
              {#each row.situations as id (id)}
                {@const where = layout(id)}
                {#if where && shown.shown.includes(id)}
                  <button
                    type="button"
                    class="quiet act whitespace-nowrap"
                    title="See it on the bench"
                    onclick={() => go(where, row.block)}>{where.name}</button
                  >
                {:else}<span class="px-2">{where?.name}</span>{/if}
              {/each}
            </span>
            {#if row.ways}
              <button
                type="button"
                class="quiet act whitespace-nowrap"
                aria-expanded={open === key}
                onclick={() => (open = open === key ? '' : key)}>Ways out</button
              >
            {/if}
          </div>
          {#if open === key && found}<FitWays {row} />{/if}
        </li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  .rows {
    border: 1px solid var(--color-base-300);
    background: var(--color-base-100);
    font-size: var(--text-small);
  }
  .rows li + li {
    border-top: 1px solid var(--color-base-300);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 2px 12px;
    min-height: 32px;
    padding: 2px 8px;
  }
  .stale {
    opacity: 0.6;
  }
  .dot {
    width: 7px;
    height: 7px;
    margin: 0 2px;
    border: 1.5px solid currentColor;
    transform: rotate(45deg);
  }
</style>
