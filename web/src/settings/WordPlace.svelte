<script lang="ts">
  /** Where the words stand in their band, and the space around them. */
  import type { Band, Block } from '../api/types';
  import { on } from '../state/screens';
  import Anchors from '../parts/Anchors.svelte';
  import LengthField from '../parts/LengthField.svelte';
  import { editorOf } from '../state/editor';
  import { useBench } from '../state/context';

  let { block }: { block: Block } = $props();
  const { selection, sight } = useBench();

  const to = editorOf((chosen) => chosen.blockTarget(block.id));
  const inBand = editorOf((chosen) => chosen.bandTarget);

  const ORDER = ['start', 'center', 'end'] as const;
  type Align = (typeof ORDER)[number];
  const band = $derived(selection.band ? on(selection.band, selection.scope) : null);
  const content = $derived<Partial<NonNullable<Band['content']>>>(selection.band?.content ?? {});
  const at = (align: Align | undefined) => ORDER.indexOf(align ?? 'start') / 2;
  const place = $derived<[number, number]>([at(content.align), at(content.stand)]);
  const width = (text: string) => (text.trim() === '' || text.trim() === 'all' ? null : text);

  function stand([x, y]: [number, number]): void {
    void inBand.keep({ 'content/align': ORDER[x * 2], 'content/stand': ORDER[y * 2] }, 'Place of the words');
  }

  const spaced = (side: 'block' | 'inline', text: string) => ({
    padding: { block: '48px', inline: '6vw', ...band?.padding, [side]: text },
  });
</script>

<div class="flex gap-5">
  <div>
    <p class="muted pb-0.5 text-small">In {selection.band?.name}</p>
    <Anchors value={place} choose={stand} />
  </div>
  <div
    class="grid flex-1 grid-cols-3 gap-2"
    role="presentation"
    onfocusin={() => (sight.spaces = true)}
    onfocusout={() => (sight.spaces = false)}
  >
    <LengthField
      label="Greatest width"
      value={block.width ?? 'all'}
      note="of these words: px, rem, em, % of the column, or all"
      show={(text) => to.show({ width: width(text) })}
      keep={(text) => to.keep({ width: width(text) }, `Words ${text} wide`)}
    />
    {#each [['block', 'Space above, below'], ['inline', 'Space beside']] as const as [side, label] (side)}
      <LengthField
        {label}
        value={band?.padding?.[side] ?? (side === 'block' ? '48px' : '6vw')}
        note="inner space of the band"
        show={(text) => inBand.show(spaced(side, text), selection.scope)}
        keep={(text) => inBand.keep(spaced(side, text), `${label} ${text}`, selection.scope)}
      />
    {/each}
  </div>
</div>
