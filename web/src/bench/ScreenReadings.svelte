<script lang="ts">
  import type { Block, Reading, Screen } from '../api/types';
  import Verdict from '../parts/Verdict.svelte';
  import type { Bench } from './bench.svelte';

  let { bench, screen }: { bench: Bench; screen: Screen } = $props();

  type Row = { block: Block; rest: Reading; missing: Reading | undefined };
  const rows = $derived.by(() => {
    const mine = bench.readings.filter((r) => r.screen === screen.id);
    return bench.blocks.flatMap((block): Row[] => {
      const rest = mine.find((r) => r.block === block.id && !r.missing);
      if (!rest) return [];
      return [{ block, rest, missing: mine.find((r) => r.block === block.id && r.missing) }];
    });
  });

  function choose(row: Row): void {
    bench.blockId = row.block.id;
    bench.chooseCard('words');
  }
</script>

<ul class="pt-1.5" aria-label="Readings on {screen.name}">
  {#each rows as row (row.block.id)}
    {@const { rest, missing } = row}
    <li>
      <button type="button" class="row" title={rest.sentence} onclick={() => choose(row)}>
        <Verdict meets={rest.meets} vouched={rest.vouched} />
        <span class="truncate">{row.block.wording || 'no words yet'}</span>
        {#if rest.shown}
          <span class="whitespace-nowrap">
            <b class={rest.meets ? 'text-success' : 'text-warning'}>{rest.shown}</b>
            <span class="muted">of {rest.required}</span>
          </span>
        {/if}
        {#if !rest.meets}<span class="short">short</span>{/if}
        {#if missing && !missing.meets}
          <span class="without" title="{missing.name}: {missing.sentence}">
            <Verdict meets={false} />{missing.shown}<span class="sr-only"> when the</span> without picture
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
    white-space: nowrap;
    color: var(--color-warning);
  }
</style>
