<script lang="ts">
  import { wordsOf } from '../state/words';
  import type { Block, Reading, Screen } from '../api/types';
  import Eye from '@lucide/svelte/icons/eye';
  import Verdict from '../parts/Verdict.svelte';
  import { useBench } from '../state/context';

  let { screen, most }: { screen: Screen; most: number } = $props();
  const { eyes, findings, selection, sight } = useBench();

  type Row = { block: Block; rest: Reading; others: { kind: 'missing' | 'over'; reading: Reading }[] };
  let open = $state(false);
  const rows = $derived.by(() => {
    const mine = findings.readings.filter((r) => r.screen === screen.id);
    const found = selection.words.flatMap((block): Row[] => {
      const own = mine.filter((r) => r.block === block.id);
      const there = own.filter((r) => !r.missing);
      const same = there.filter((r) => r.pointed === sight.pointed);
      // where a picture moves otherwise than the page, the worst place of the way counts
      const part = (r: Reading) => (r.ratio ?? Infinity) / r.required;
      const rest = (same.length > 0 ? same : there).toSorted((a, b) => part(a) - part(b))[0];
      if (!rest) return [];
      const missing = own.find((r) => r.missing);
      const over = own.find((r) => r.pointed !== rest.pointed && !r.missing);
      // what is as at rest under the pointer needs no figure of its own
      const tells = over && Math.abs((over.ratio ?? 0) - (rest.ratio ?? 0)) > 0.005;
      return [
        {
          block,
          rest,
          others: [
            ...(missing ? [{ kind: 'missing' as const, reading: missing }] : []),
            ...(over && tells ? [{ kind: 'over' as const, reading: over }] : []),
          ],
        },
      ];
    });
    // where there is no room for all, what falls short comes first
    return found.length > most ? found.toSorted((a, b) => Number(good(a)) - Number(good(b))) : found;
  });
  const enough = (reading: Reading) => reading.verdict === 'enough';
  const good = (row: Row) => enough(row.rest) && row.others.every((o) => enough(o.reading));
  /** What falls short stays in sight; of the rest as many as there is room for, the others behind one line. */
  const first = $derived.by(() => {
    if (open || rows.length <= most) return rows;
    return rows.slice(0, Math.max(most - 1, rows.filter((row) => !good(row)).length));
  });
  const folded = $derived(rows.length - first.length);

  const SAID = {
    missing: ['without the picture:', 'without picture'],
    over: ['with the pointer over it or not:', 'pointer'],
  };
  const SHAPES = {
    missing: 'M1.500 1.500h11v9h-11ZM1.500 10.500 12.500 1.500',
    over: 'M3 1v9l2.500-2.500 2 3.500 1.500-1-2-3.300H11Z',
  };

  function said(block: Block): string {
    return wordsOf(block) || 'no words yet';
  }

  function choose(row: Row): void {
    selection.chooseBlock(row.block.id);
  }
</script>

<ul
  class="ledger mt-1.5"
  style:max-height="{Math.max(1, most) * 20}px"
  style:min-height="{Math.min(most, selection.words.length) * 20}px"
  aria-label="Readings on {screen.name}"
>
  {#each first as row (row.block.id)}
    {@const { rest, others } = row}
    {@const seen = eyes.words(screen.id, row.block.id)}
    <li>
      <button type="button" class="row" title="{rest.name}: {rest.sentence}" onclick={() => choose(row)}>
        <Verdict says={rest.verdict} />
        <span class="truncate">{said(row.block)}</span>
        {#if rest.shown}
          <span class="whitespace-nowrap">
            <b class={rest.verdict === 'short' ? 'text-warning' : 'text-success'}>{rest.shown}</b>
            <span class="muted">of {rest.required}</span>
          </span>
        {/if}
        {#if rest.verdict === 'short'}<span class="short">short</span>{/if}
        {#if rest.away}<span class="muted">not on the screen</span>{/if}
        {#if Object.keys(rest.phases).length > 0}
          <span class="without words">{rest.name.slice(screen.name.length + 2)}</span>
        {/if}
        {#if seen}
          <span
            class="without seen"
            title="Advice, not required: through these eyes it is {seen.shown}, asked of the page are {seen.required}"
          >
            <Eye size={14} aria-hidden="true" /><b class:faint={seen.faint}>{seen.shown}</b><span
              class="words">seen</span
            >
          </span>
        {/if}
        {#each seen ? [] : others as { kind, reading } (kind)}
          {#if reading.shown}
            <span
              class="without"
              class:trouble={reading.verdict === 'short'}
              title="{reading.name}: {reading.sentence}"
            >
              <svg viewBox="0 0 14 12" role="img" aria-label={SAID[kind][0]}>
                <path d={SHAPES[kind]} fill="none" stroke="currentColor" stroke-width="1.400" />
              </svg><b>{reading.shown}</b><span class="words">{SAID[kind][1]}</span
              >{#if reading.verdict === 'short'}&nbsp;short{/if}
            </span>
          {/if}
        {/each}
      </button>
    </li>
  {/each}
  {#if folded > 0 || (open && rows.length > most)}
    <li>
      <button type="button" class="row act" aria-expanded={open} onclick={() => (open = !open)}
        >{open ? 'Fewer' : `${folded} more can be read`}</button
      >
    </li>
  {/if}
</ul>

<style>
  .row {
    display: flex;
    align-items: center;
    gap: 6px;
    width: 100%;
    height: 20px;
    font-size: var(--text-small);
    cursor: pointer;
    text-align: left;
  }
  .row:hover {
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
  }
  .short {
    color: var(--color-warning);
    font-weight: 600;
  }
  .without {
    display: flex;
    align-items: center;
    gap: 4px;
    flex: none;
    white-space: nowrap;
    margin-left: auto;
    padding-left: 4px;
    color: color-mix(in oklab, var(--color-base-content) 72%, var(--color-base-200));
  }
  .faint {
    text-decoration: underline dotted 1.5px;
    text-underline-offset: 3px;
  }
  .without svg {
    width: 13px;
  }
  .without b {
    font-weight: 600;
  }
  .ledger {
    container-type: inline-size;
    overflow-y: auto;
    scrollbar-width: thin;
  }
  @container (max-width: 500px) {
    .words {
      display: none;
    }
  }
  .trouble {
    color: var(--color-warning);
    font-weight: 600;
  }
</style>
