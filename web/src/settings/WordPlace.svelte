<script lang="ts">
  /** Where the words stand in their band, and the space around them. */
  import type { Band, Block } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import { on, setting } from '../bench/exceptions';
  import Anchors from '../parts/Anchors.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeLength } from '../parts/lengths';
  import { keepBlock, setBlock } from './block';

  let { bench, block }: { bench: Bench; block: Block } = $props();

  const ORDER = ['start', 'center', 'end'] as const;
  type Align = (typeof ORDER)[number];
  const band = $derived(bench.band ? on(bench.band, bench.scope) : null);
  const content = $derived<Partial<NonNullable<Band['content']>>>(bench.band?.content ?? {});
  const at = (align: Align | undefined) => ORDER.indexOf(align ?? 'start') / 2;
  const place = $derived<[number, number]>([at(content.align), at(content.stand)]);
  const width = (text: string) => (text.trim() === '' || text.trim() === 'all' ? null : text);

  function stand([x, y]: [number, number]): void {
    const value = { ...content, align: ORDER[x * 2], stand: ORDER[y * 2] };
    void bench.keep([{ op: 'add', path: `${bench.bandPath}/content`, value }], 'Place of the words');
  }

  function spaced(side: 'block' | 'inline', text: string) {
    if (!bench.band) return [];
    const padding = { block: '48px', inline: '6vw', ...band?.padding, [side]: text };
    return setting(bench.bandPath, bench.band, { padding }, bench.scope);
  }
</script>

<div class="flex gap-5">
  <div>
    <p class="muted pb-0.5 text-[12px]">In {bench.band?.name}</p>
    <Anchors value={place} choose={stand} />
  </div>
  <div
    class="grid flex-1 grid-cols-3 gap-2"
    role="presentation"
    onfocusin={() => (bench.spaces = true)}
    onfocusout={() => (bench.spaces = false)}
  >
    <Field
      label="Greatest width"
      value={block.width ?? 'all'}
      nudge={nudgeLength}
      note="of these words: px, rem, em, % of the column, or all"
      show={(text) => bench.show(setBlock(bench, block, 'width', width(text)))}
      keep={(text) => keepBlock(bench, block, 'width', width(text), `Words ${text} wide`)}
    />
    {#each [['block', 'Space above, below'], ['inline', 'Space beside']] as const as [side, label] (side)}
      <Field
        {label}
        value={band?.padding?.[side] ?? (side === 'block' ? '48px' : '6vw')}
        nudge={nudgeLength}
        note="inner space of the band"
        show={(text) => bench.show(spaced(side, text))}
        keep={(text) => bench.keep(spaced(side, text), `${label} ${text}`)}
      />
    {/each}
  </div>
</div>
