<script lang="ts">
  import type { Layer } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import { kindOf } from '../layers/kinds';
  import AddLayer from './AddLayer.svelte';
  import CardView from './Card.svelte';
  import ContrastLine from './ContrastLine.svelte';
  import { moveLayer } from './layers';

  let { bench }: { bench: Bench } = $props();

  const CARD = 122;
  const STEP = 140;
  const LINE = 104;
  let dragged = $state<string | null>(null);

  type Entry = { id: string; name: string; aside: string; layer: Layer | null; below: string | null };
  const cards = $derived(bench.buildUp?.cards ?? []);
  const entries = $derived<Entry[]>([
    ...cards.flatMap((c) =>
      c.below ? [{ id: c.id, name: c.name ?? '', aside: 'below', layer: null, below: c.below }] : [],
    ),
    { id: 'base', name: 'Base', aside: bench.area?.backdrop.base ?? 'none', layer: null, below: null },
    ...bench.layers.map((layer) => ({
      id: layer.id,
      name: layer.name,
      aside: aside(layer),
      layer,
      below: null,
    })),
    { id: 'words', name: 'Words', aside: '', layer: null, below: null },
  ]);
  const first = $derived(entries.filter((e) => e.below).length);
  const blocks = $derived(
    (bench.buildUp?.blocks ?? []).map((id) => ({ id, words: said(bench.words.find((b) => b.id === id)) })),
  );

  function said(block: { wording?: string; kind: string } | undefined): string {
    const words = block?.wording || block?.kind || '';
    return words.length > 34 ? `${words.slice(0, 32)} …` : words;
  }

  function aside(layer: Layer): string {
    return layer.visible === false ? 'off' : kindOf(layer).aside(layer);
  }

  function key(event: KeyboardEvent, entry: Entry): void {
    if (!event.altKey || !entry.layer) return;
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (!by) return;
    event.preventDefault();
    moveLayer(bench, entry.id, bench.layers.findIndex((l) => l.id === entry.id) + by);
  }

  function dropOn(event: DragEvent, entry: Entry): void {
    if (!dragged || !entry.layer || dragged === entry.id) return;
    event.preventDefault();
    moveLayer(
      bench,
      dragged,
      bench.layers.findIndex((l) => l.id === entry.id),
    );
    dragged = null;
  }

  const events = (entry: Entry) => ({
    ondragstart: (e: DragEvent) => {
      dragged = entry.id;
      e.dataTransfer?.setData('text/plain', entry.id);
    },
    ondragend: () => (dragged = null),
    ondragover: (e: DragEvent) => dragged && entry.layer && e.preventDefault(),
    ondrop: (e: DragEvent) => dropOn(e, entry),
    onkeydown: (e: KeyboardEvent) => key(e, entry),
    onclick: () => (entry.below ? bench.choose(entry.below) : bench.chooseCard(entry.id)),
  });
</script>

<section
  aria-labelledby="build-up"
  class="min-w-0 overflow-x-auto overflow-y-hidden border-r border-base-300 px-6 pt-2.5"
>
  <div class="flex items-baseline gap-2 whitespace-nowrap">
    <h2 id="build-up" class="display-face text-[16px]">Build-up</h2>
    {#if blocks.length > 0}
      <label class="muted">
        and the worst reading of
        <select
          class="follow"
          value={bench.lineBlock ?? ''}
          onchange={(e) => bench.follow(e.currentTarget.value || null)}
        >
          <option value="">{said(bench.words.find((b) => b.id === bench.buildUp?.block))}</option>
          {#each blocks.filter((b) => b.id !== bench.buildUp?.block || bench.lineBlock) as block (block.id)}
            <option value={block.id}>{block.words}</option>
          {/each}
        </select>
      </label>
    {/if}
  </div>
  <p class="muted h-[19px] truncate text-[12.5px]" role="status">{bench.buildUp?.sentence ?? ''}</p>
  <ol class="flex pt-1.5" style:gap="{STEP - CARD}px">
    {#each entries as entry, n (entry.id)}
      <li class="relative shrink-0" style:width="{CARD}px">
        <CardView
          {bench}
          id={entry.id}
          name={entry.name}
          aside={entry.aside}
          layer={entry.layer}
          below={entry.below !== null}
          card={cards.find((c) => c.id === entry.id)}
          events={events(entry)}
        />
        {#if !entry.below && entry.id !== 'words'}
          <AddLayer {bench} at={n - first} />
        {/if}
      </li>
    {/each}
  </ol>
  <ContrastLine {cards} required={bench.buildUp?.required ?? null} card={CARD} step={STEP} height={LINE} />
</section>

<style>
  .follow {
    max-width: 230px;
    background: transparent;
    font-style: italic;
    cursor: pointer;
    min-height: 24px;
  }
</style>
