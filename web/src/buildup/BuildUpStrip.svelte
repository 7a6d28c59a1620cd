<script lang="ts">
  /** The layers of the chosen area from the base to the words, and the worst reading after each. */
  import type { Layer } from '../api/types';
  import { useBench } from '../state/context';
  import AddLayer from './AddLayer.svelte';
  import CardView from './Card.svelte';
  import ContrastLine from './ContrastLine.svelte';
  import { moveLayer } from './layers';
  import { measures } from './measures';
  import { whole } from '../parts/whole';

  /** Called when a card was chosen. */
  let { opened }: { opened?: () => void } = $props();
  const bench = useBench();
  const { findings, selection } = bench;

  let width = $state(0);
  let height = $state(0);
  /** The card that is being moved, and how far to the right, px. */
  let moved = $state.raw<{ id: string; by: number } | null>(null);

  type Entry = { id: string; name: string; layer: Layer | null; below: string | null };
  const cards = $derived(findings.buildUp?.cards ?? []);
  const entries = $derived<Entry[]>([
    ...cards.flatMap((c) => (c.below ? [{ id: c.id, name: c.name ?? '', layer: null, below: c.below }] : [])),
    { id: 'base', name: 'Base', layer: null, below: null },
    ...selection.layers.map((layer) => ({
      id: layer.id,
      name: layer.name,
      layer,
      below: null,
    })),
    { id: 'words', name: 'Words', layer: null, below: null },
  ]);
  const first = $derived(entries.filter((e) => e.below).length);
  const size = $derived(measures(entries.length, width, height));
  const blocks = $derived(
    (findings.buildUp?.blocks ?? []).map((id) => ({
      id,
      words: said(selection.words.find((b) => b.id === id)),
    })),
  );

  function said(block: { wording?: string; kind: string } | undefined): string {
    const words = block?.wording || block?.kind || '';
    return words.length > 34 ? `${words.slice(0, 32)} …` : words;
  }

  const placeOf = (id: string) => selection.layers.findIndex((l) => l.id === id);

  function shift(entry: Entry, by: number): void {
    if (entry.layer) moveLayer(bench, entry.id, placeOf(entry.id) + by);
  }

  function choose(entry: Entry): void {
    if (entry.below) selection.choose(entry.below);
    else selection.chooseCard(entry.id);
    opened?.();
  }

  /** Let a card go: it goes as many places on as it was pulled cards. */
  function drop(entry: Entry): void {
    const steps = Math.round((moved?.by ?? 0) / size.step);
    moved = null;
    const to = Math.min(selection.layers.length - 1, Math.max(0, placeOf(entry.id) + steps));
    if (to !== placeOf(entry.id)) moveLayer(bench, entry.id, to);
  }
</script>

<section aria-labelledby="build-up" class="build-up" bind:clientWidth={width} bind:clientHeight={height}>
  <div class="flex flex-wrap items-baseline gap-x-2 whitespace-nowrap">
    <h2 id="build-up" class="display-face text-title">Build-up</h2>
    {#if blocks.length > 0}
      <label class="muted flex min-w-0 flex-wrap items-baseline gap-x-1">
        and the worst reading of
        <select
          {@attach whole}
          class="follow"
          value={findings.lineBlock ?? ''}
          onchange={(e) => findings.follow(e.currentTarget.value || null)}
        >
          <option value="">{said(selection.words.find((b) => b.id === findings.buildUp?.block))}</option>
          {#each blocks.filter((b) => b.id !== findings.buildUp?.block || findings.lineBlock) as block (block.id)}
            <option value={block.id}>{block.words}</option>
          {/each}
        </select>
      </label>
    {/if}
  </div>
  <p class="said clamped steady muted text-small" role="status" title={findings.buildUp?.sentence}>
    {findings.buildUp?.sentence ?? ''}
  </p>
  <div class="along">
    <ol class="flex pt-1.5" style:gap="{size.step - size.card}px">
      {#each entries as entry, n (entry.id)}
        <li
          class="relative shrink-0"
          class:moving={moved?.id === entry.id}
          style:width="{size.card}px"
          style:transform={moved?.id === entry.id ? `translateX(${moved.by}px)` : undefined}
        >
          <CardView
            id={entry.id}
            name={entry.name}
            layer={entry.layer}
            below={entry.below !== null}
            height={size.picture}
            card={cards.find((c) => c.id === entry.id)}
            choose={() => choose(entry)}
            shift={(by) => shift(entry, by)}
            pulled={(by) => (moved = by === null ? null : { id: entry.id, by })}
            dropped={() => drop(entry)}
          />
          {#if !entry.below && entry.id !== 'words'}
            <AddLayer at={n - first} gap={size.step - size.card} middle={size.picture / 2} />
          {/if}
        </li>
      {/each}
    </ol>
    <ContrastLine
      {cards}
      required={findings.buildUp?.required ?? null}
      card={size.card}
      step={size.step}
      height={size.line}
    />
  </div>
</section>

<style>
  .build-up {
    display: flex;
    flex-direction: column;
    min-width: 0;
    min-height: 0;
    padding: 8px 0 0 24px;
    border-right: 1px solid var(--color-base-300);
    overflow: hidden;
  }
  @container bench (max-width: 1120px) {
    .said {
      --lines: 2;
      padding-right: 12px;
    }
  }
  @container bench (max-width: 819px) {
    .build-up {
      padding-left: 16px;
      border-right: 0;
    }
  }
  .along {
    flex: 1;
    min-height: 0;
    padding: 0 24px 0 4px;
    margin-left: -4px;
    overflow: auto hidden;
    scrollbar-width: thin;
  }
  .moving {
    z-index: 2;
    opacity: 0.9;
    cursor: grabbing;
  }
  .follow {
    max-width: 230px;
    background: transparent;
    font-style: italic;
    cursor: pointer;
    min-height: 24px;
  }
</style>
