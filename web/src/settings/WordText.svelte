<script lang="ts">
  /** What a block says and how it is set: font, weight, size, colour, alignment, link. */
  import type { Block } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Choice from '../parts/Choice.svelte';
  import ColourField from '../parts/ColourField.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeNumber } from '../parts/lengths';
  import { keepBlock, setBlock } from './block';
  import MenuItems from './MenuItems.svelte';
  import SizeSetting from './SizeSetting.svelte';
  import Wording from './Wording.svelte';

  let { bench, block }: { bench: Bench; block: Block } = $props();

  const ALIGNS = [
    { value: 'start', name: 'left' },
    { value: 'center', name: 'centred' },
    { value: 'end', name: 'right' },
  ] as const;

  const lettering = $derived(block.lettering ?? {});
  const font = $derived(bench.fonts.find((f) => f.family === lettering.font));
  const weights = $derived(
    [100, 200, 300, 400, 500, 600, 700, 800, 900].filter(
      (w) => w >= (font?.least_weight ?? 100) && w <= (font?.most_weight ?? 900),
    ),
  );
  const weight = $derived(
    Math.min(font?.most_weight ?? 900, Math.max(font?.least_weight ?? 100, lettering.weight ?? 400)),
  );

  const set = (of: Block, field: string, value: unknown) => setBlock(bench, of, field, value);
  const keep = (of: Block, field: string, value: unknown, label: string) =>
    keepBlock(bench, of, field, value, label);
</script>

<div class="flex flex-col gap-2">
  {#if block.kind === 'menu'}
    <MenuItems {bench} {block} />
  {:else}
    <Wording
      value={block.wording ?? ''}
      show={(text) => bench.show(set(block, 'wording', text))}
      keep={(text) => keep(block, 'wording', text, `Words: ${text.slice(0, 40) || 'none'}`)}
    />
  {/if}
  <div class="grid grid-cols-[1fr_90px_80px] gap-2">
    <label class="min-w-0">
      <span class="muted block pb-0.5 text-[12px]">Font</span>
      <select
        class="field w-full"
        value={lettering.font}
        onchange={(e) =>
          void keep(block, 'lettering/font', e.currentTarget.value, `Font ${e.currentTarget.value}`)}
      >
        {#each bench.fonts as f (f.family)}
          <option value={f.family} title={f.character}>{f.family}</option>
        {/each}
      </select>
    </label>
    <label class="min-w-0">
      <span class="muted block pb-0.5 text-[12px]">Weight</span>
      <select
        class="field w-full"
        value={weight}
        disabled={weights.length < 2}
        onchange={(e) => {
          const next = Number(e.currentTarget.value);
          void keep(block, 'lettering/weight', next, `Weight ${next}`);
        }}
      >
        {#each weights as w (w)}<option value={w}>{w}</option>{/each}
      </select>
    </label>
    <Field
      label="Line"
      value={String(lettering.line ?? 1.5)}
      nudge={nudgeNumber(0.02, 0.6, 4)}
      note="line height as a multiple of the size"
      show={(text) => bench.show(set(block, 'lettering/line', Number(text.replace(',', '.'))))}
      keep={(text) => keep(block, 'lettering/line', Number(text.replace(',', '.')), `Line height ${text}`)}
    />
  </div>
  <SizeSetting {bench} {block} />
  <ColourField
    {bench}
    label="Colour"
    words={block.id}
    value={lettering.colour ?? '#000000'}
    show={(colour) => bench.show(set(block, 'lettering/colour', colour))}
    keep={(colour) => keep(block, 'lettering/colour', colour, `Words in ${colour}`)}
  />
  <div class="flex items-center gap-4">
    {#if block.kind === 'heading'}
      <label class="flex items-center gap-1.5" title="Its place in the outline; its size is its own">
        <span class="muted text-[13px]">Level</span>
        <select
          class="field"
          value={block.level}
          onchange={(e) =>
            void keep(
              block,
              'level',
              Number(e.currentTarget.value),
              `Heading of level ${e.currentTarget.value}`,
            )}
        >
          {#each [1, 2, 3, 4, 5, 6] as level (level)}<option value={level}>{level}</option>{/each}
        </select>
      </label>
    {/if}
    <Choice
      label="Set"
      short
      value={lettering.align ?? bench.band?.content?.align ?? 'start'}
      options={ALIGNS}
      choose={(align) => void keep(block, 'lettering/align', align, `Words ${align}`)}
    />
    {#if block.kind !== 'menu'}
      <Field
        label="Link"
        hideLabel
        placeholder="Link to …"
        value={block.link ?? ''}
        note="where a click leads: a page of this site, a path, https:, mailto: or tel:"
        keep={(text) => keep(block, 'link', text || null, text ? `Link to ${text}` : 'No link')}
      />
    {/if}
  </div>
</div>
