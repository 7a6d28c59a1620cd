<script lang="ts">
  import type { Block, Reading, Screen } from '../api/types';
  import Verdict from '../parts/Verdict.svelte';
  import type { Bench } from './bench.svelte';

  let { bench, screen, most }: { bench: Bench; screen: Screen; most: number } = $props();

  type Row = { block: Block; rest: Reading; missing: Reading | undefined };
  const rows = $derived.by(() => {
    const mine = bench.readings.filter((r) => r.screen === screen.id);
    const found = bench.words.flatMap((block): Row[] => {
      const rest = mine.find((r) => r.block === block.id && !r.missing);
      if (!rest) return [];
      return [{ block, rest, missing: mine.find((r) => r.block === block.id && r.missing) }];
    });
    // where there is no room for all, what falls short comes first
    const rank = (row: Row) => Number(row.rest.meets && (row.missing?.meets ?? true));
    return found.length > most ? found.toSorted((a, b) => rank(a) - rank(b)) : found;
  });

  function said(block: Block): string {
    const text = block.kind === 'menu' ? (block.items ?? []).map((i) => i.wording).join(', ') : block.wording;
    return text || 'no words yet';
  }

  function choose(row: Row): void {
    bench.chooseBlock(row.block.id);
  }
</script>

<ul class="ledger mt-1.5" style:max-height="{most * 20}px" aria-label="Readings on {screen.name}">
  {#each rows as row (row.block.id)}
    {@const { rest, missing } = row}
    <li>
      <button type="button" class="row" title={rest.sentence} onclick={() => choose(row)}>
        <Verdict meets={rest.meets} vouched={rest.vouched} />
        <span class="truncate">{said(row.block)}</span>
        {#if rest.shown}
          <span class="whitespace-nowrap">
            <b class={rest.meets ? 'text-success' : 'text-warning'}>{rest.shown}</b>
            <span class="muted">of {rest.required}</span>
          </span>
        {/if}
        {#if !rest.meets}<span class="short">short</span>{/if}
        {#if missing?.shown}
          <span class="without" class:trouble={!missing.meets} title="{missing.name}: {missing.sentence}">
            <svg viewBox="0 0 14 12" role="img" aria-label="without the picture:">
              <path
                d="M1.500 1.500h11v9h-11ZM1.500 10.500 12.500 1.500"
                fill="none"
                stroke="currentColor"
                stroke-width="1.400"
              />
            </svg><b>{missing.shown}</b><span class="words">without picture</span
            >{#if !missing.meets}&nbsp;short{/if}
          </span>
        {/if}
      </button>
    </li>
  {/each}
</ul>

<style>
  .row {
    display: flex;
    align-items: center;
    gap: 6px;
    width: 100%;
    height: 20px;
    font-size: 13px;
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
