<script lang="ts">
  /** Where the words stand in their band, and the space around them. */
  import type { Band, Block } from '../api/types';
  import { on } from '../state/screens';
  import Anchors from '../parts/Anchors.svelte';
  import Differs from '../parts/Differs.svelte';
  import { picturesOf } from '../layers/members';
  import LengthField from '../parts/LengthField.svelte';
  import { editorOf } from '../state/editor';
  import { useBench } from '../state/context';

  let { block }: { block: Block } = $props();
  const { edits, selection, sight } = useBench();

  const to = editorOf((chosen) => chosen.blockTarget(block.id));
  const inBand = editorOf((chosen) => chosen.bandTarget);

  const ORDER = ['start', 'center', 'end'] as const;
  type Align = (typeof ORDER)[number];
  const band = $derived(selection.band ? on(selection.band, selection.scope) : null);
  const content = $derived<Partial<NonNullable<Band['content']>>>(band?.content ?? {});
  const pictured = $derived(
    selection.areas.some(
      (area) =>
        (area.id === selection.band?.id || area.kind === 'join') &&
        (area.backdrop.layers ?? []).some((layer) => picturesOf(layer).length > 0),
    ),
  );
  const at = (align: Align | undefined) => ORDER.indexOf(align ?? 'start') / 2;
  const place = $derived<[number, number]>([at(content.align), at(content.stand)]);
  const width = (text: string) => (text.trim() === '' || text.trim() === 'all' ? null : text);

  function stand([x, y]: [number, number]): void {
    const [align, down] = [ORDER[x * 2], ORDER[y * 2]];
    const everywhere = { 'content/align': align, 'content/stand': down };
    const here = { content: { ...content, align, stand: down } };
    void inBand.keep(selection.scope ? here : everywhere, 'Place of the words', selection.scope);
  }

  const spaced = (side: 'block' | 'inline', text: string) => ({
    padding: { block: '48px', inline: '6vw', ...band?.padding, [side]: text },
  });
</script>

<div class="flex gap-5">
  <div>
    <p class="muted flex items-center gap-1 pb-0.5 text-small">
      In {selection.band?.name}
      {#if selection.band}<Differs item={selection.band} fields={['content']} />{/if}
    </p>
    <Anchors value={place} choose={stand} />
    {#if pictured}
      <button
        type="button"
        class="quiet act px-0 text-small"
        title="To where the words cover least of what matters in the picture, and where it is calm; on each screen"
        onclick={() =>
          void edits.edit({
            kind: 'beside-subject',
            page: selection.page?.id ?? '',
            band: selection.band?.id ?? '',
          })}>Beside what matters</button
      >
    {/if}
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
