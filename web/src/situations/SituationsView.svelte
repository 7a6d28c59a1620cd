<script lang="ts">
  /** Words down the side, the situations a visitor can meet across, the worst ratio in each cell; then every width. */
  import * as client from '../api/client';
  import Progress from '../parts/Progress.svelte';
  import type { Situation } from '../api/types';
  import Choice from '../parts/Choice.svelte';
  import Verdict from '../parts/Verdict.svelte';
  import FitRows from './FitRows.svelte';
  import WidthRun from './WidthRun.svelte';
  import { useBench } from '../state/context';
  import { put } from '../state/target';

  const { doc, edits, findings, place, selection, sight } = useBench();

  const LEVELS = [
    { value: 'AA', name: 'AA', note: '4.5, and 3 for large letters (WCAG 2.2, 1.4.3)' },
    { value: 'AAA', name: 'AAA', note: '7, and 4.5 for large letters (WCAG 2.2, 1.4.6)' },
  ] as const;
  /** How high the head of the table and a row of it are, px: as much room is kept while it is not there. */
  const HEAD = 64;
  const ROW = 31;
  const words = $derived(selection.areas[0]?.blocks.filter((b) => doc.kind(b).lettered).length ?? 0);
  let problem = $state('');
  const { every } = findings;
  const found = $derived(findings.everyNow);
  /** What was found before stays in sight while it is looked at anew. */
  const shown = $derived(found ?? (every.found?.page === selection.page?.id ? every.found?.value : null));
  const cell = (block: string, situation: string) =>
    shown?.cells.find((c) => c.block === block && c.situation === situation);

  $effect(() => {
    if (!found && selection.page && !every.stopped) void findings.lookAtEvery();
  });

  function open(from: Situation, block: string): void {
    // of a whole way, the place where these words are worst
    const situation = { ...from, scroll: cell(block, from.id)?.scroll ?? from.scroll };
    selection.chooseBlock(block.split('/')[0] ?? block);
    sight.bring(situation.screen);
    if (situation.pointed) sight.point(true);
    else sight.meet(situation.at_rest ? null : situation);
    place.go('bench');
  }

  async function visits(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (file) problem = (await edits.exchange((of) => client.takeVisits(file, of)))?.message ?? '';
  }
</script>

<main class="foot-room flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-6 py-3">
  <div class="flex flex-wrap items-center gap-x-6 gap-y-1">
    <h2 class="display-face text-head">Situations</h2>
    <p role="status" class="font-semibold {shown && !shown.good ? 'text-warning' : 'text-success'}">
      {#if !shown}
        <span class="muted"
          >{every.stopped
            ? 'It was stopped; nothing was looked at to its end.'
            : 'Looking at every situation …'}</span
        >
      {:else}
        {shown.sentence}
      {/if}
    </p>
    <span class="ml-auto flex flex-wrap items-center gap-x-4">
      <Choice
        label="Required"
        value={doc.site?.requirement ?? 'AA'}
        options={LEVELS}
        choose={(level) => void edits.keep(put({}, { requirement: level }), `Require ${level}`)}
      />
      <label
        class="flex items-center gap-1.5 whitespace-nowrap"
        title="3 to 1 against what lies around (WCAG 2.2, 1.4.11). The standard asks it of what is needed to tell a part: a button's own words do."
      >
        <input
          type="checkbox"
          class="h-4 w-4"
          checked={doc.site?.edges ?? false}
          onchange={(event) =>
            void edits.keep(
              put({}, { edges: event.currentTarget.checked }),
              event.currentTarget.checked ? 'Require edges of buttons' : 'Edges of buttons as they are',
            )}
        /> edges of buttons too
      </label>
    </span>
  </div>
  {#if every.share !== null}
    <Progress
      label="Looking at every situation"
      share={every.share}
      doing={every.doing}
      stop={() => every.stop()}
    />
  {:else if !found && every.stopped}
    <p class="text-small">
      {shown ? 'What is shown is from before the last change.' : ''}
      <button type="button" class="quiet act" onclick={() => void findings.lookAtEvery()}
        >Look at every situation</button
      >
    </p>
  {/if}
  {#if !shown && every.share !== null}
    <div class="grid-box" aria-hidden="true" style:height="{HEAD + ROW * words}px"></div>
    <p class="invisible text-small" aria-hidden="true">Shares of visits</p>
  {/if}
  {#if shown}
    <div class="grid-box" class:stale={!found}>
      <table>
        <thead>
          <tr>
            <th scope="col" class="words"><span class="sr-only">Words</span></th>
            {#each shown.situations as situation (situation.id)}
              <th scope="col">
                {situation.name.replace(' %', '\u00a0%')}
                <span class="muted block font-normal" title="The share of visits on screens like this"
                  >{Math.round(situation.share * 100)} % of visits</span
                >
              </th>
            {/each}
          </tr>
        </thead>
        <tbody>
          {#each shown.blocks as block (block.id)}
            <tr>
              <th scope="row" class="words" title={block.words}><span>{block.words}</span></th>
              {#each shown.situations as situation (situation.id)}
                {@const one = cell(block.id, situation.id)}
                <td>
                  {#if one}
                    <button
                      type="button"
                      class="cell"
                      class:bad={one.verdict === 'short'}
                      title="{one.name}: {one.sentence} Press to see it on the bench."
                      onclick={() => open(situation, block.id)}
                    >
                      <Verdict says={one.verdict} />
                      <b>{one.shown ?? '–'}</b>
                      {#if one.verdict === 'short'}<span>of {one.required}</span>{/if}
                    </button>
                  {:else}<span class="muted" title="Not to be seen there">–</span>{/if}
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    {#if shown.unsure || shown.notes.length > 0}
      <ul class="text-small" aria-label="What cannot be vouched for">
        {#if shown.unsure}
          <li class="flex items-center gap-1.5">
            <Verdict says="unsure" />
            {shown.unsure} readings could not be measured or vouched for; they count neither as read nor as short.
          </li>
        {/if}
        {#each shown.notes as note (note.about)}
          <li class="flex items-center gap-1.5"><Verdict says="unsure" /> {note.sentence}</li>
        {/each}
      </ul>
    {/if}
    <p class="muted text-small">
      Shares of visits are {shown.own
        ? 'from your own table'
        : 'from a table that ships with the application'}.
      <label class="act cursor-pointer">
        Bring your own (CSV: width, visits)<input
          type="file"
          class="sr-only"
          accept=".csv,text/csv"
          aria-label="A table of visits"
          onchange={visits}
        />
      </label>
      {#if problem}<span role="alert" class="text-error">{problem}</span>{/if}
    </p>
  {/if}
  <FitRows />
  <WidthRun />
</main>

<style>
  .grid-box {
    overflow: auto;
    max-height: 46vh;
    flex: none;
    border: 1px solid var(--color-base-300);
    background: var(--color-base-100);
  }
  .stale {
    opacity: 0.6;
  }
  table {
    min-width: 100%;
    border-collapse: collapse;
    font-size: var(--text-small);
  }
  th,
  td {
    padding: 2px 8px;
    text-align: left;
    border-bottom: 1px solid var(--color-base-300);
    vertical-align: middle;
  }
  thead th {
    vertical-align: bottom;
    position: sticky;
    top: 0;
    min-width: 104px;
    max-width: 124px;
    background: var(--color-base-100);
    z-index: 1;
    line-height: 1.2;
  }
  .words {
    position: sticky;
    left: 0;
    width: 220px;
    max-width: 220px;
    background: var(--color-base-100);
    z-index: 2;
    font-weight: 400;
  }
  .words span {
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .cell {
    display: flex;
    align-items: center;
    gap: 4px;
    min-height: 26px;
    white-space: nowrap;
    cursor: pointer;
    color: var(--color-success);
  }
  .cell.bad {
    color: var(--color-warning);
  }
  .cell:hover {
    text-decoration: underline;
  }
</style>
