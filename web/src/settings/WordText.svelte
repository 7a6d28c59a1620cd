<script lang="ts">
  /** What a block says and how it is set: font, weight, size, colour, alignment, link. */
  import { RANGES } from '../api/ranges';
  import type { Block } from '../api/types';
  import Choice from '../parts/Choice.svelte';
  import ColourField from '../parts/ColourField.svelte';
  import Field from '../parts/Field.svelte';
  import { within } from '../parts/numbers';
  import NumberField from '../parts/NumberField.svelte';
  import { editorOf } from '../state/editor';
  import { alter } from '../state/target';
  import { weightShown, weightsOf } from '../state/fonts';
  import Axes from './Axes.svelte';
  import MenuItems from './MenuItems.svelte';
  import { reworded } from './phrases';
  import SizeSetting from './SizeSetting.svelte';
  import Wording from './Wording.svelte';
  import { useBench } from '../state/context';

  let { block }: { block: Block } = $props();
  const { doc, edits, selection } = useBench();

  const ALIGNS = [
    { value: 'start', name: 'left' },
    { value: 'center', name: 'centred' },
    { value: 'end', name: 'right' },
  ] as const;

  /** The fields that only some kinds have. */
  const own = $derived(doc.kind(block).own);
  const lettering = $derived(block.lettering ?? {});
  const font = $derived(doc.fonts.find((f) => f.family === lettering.font));
  const weight = $derived(weightShown(lettering.weight ?? 400, font?.weights ?? []));
  const weights = $derived(
    [...new Set([...weightsOf(font?.weights ?? []), weight])].toSorted((a, b) => a - b),
  );

  const ownFonts = $derived(doc.fonts.filter((f) => f.own));
  const shipped = $derived(doc.fonts.filter((f) => !f.own));

  const to = editorOf((chosen) => chosen.blockTarget(block.id));

  /** The entries of a list are the same on every screen, and each may have its own links. */
  function list(listed: Block['listed']): void {
    const screens = Object.fromEntries(
      Object.entries(block.screens ?? {}).map(([id, said]) => [id, { ...said, breaks: null }]),
    );
    const values = listed ? { listed, link: null, screens } : { listed };
    void to.keep(values, listed ? 'A list' : 'Running words');
  }
</script>

<div class="flex flex-col gap-2">
  {#if own.includes('items')}
    <MenuItems {block} />
  {:else}
    <Wording
      value={block.wording ?? ''}
      show={(text) => edits.show(alter<Block>(to.target, (b) => reworded(b, text)))}
      keep={(text) =>
        edits.keep(
          alter<Block>(to.target, (b) => reworded(b, text)),
          `Words: ${text.slice(0, 40) || 'none'}`,
        )}
    />
  {/if}
  <div class="grid grid-cols-[1fr_90px_80px] gap-2">
    <label class="min-w-0">
      <span class="muted block pb-0.5 text-small">Font</span>
      <select
        class="field w-full"
        value={lettering.font}
        onchange={(e) =>
          void to.keep(
            { 'lettering/font': e.currentTarget.value, 'lettering/axes': {} },
            `Font ${e.currentTarget.value}`,
          )}
      >
        {#if ownFonts.length > 0}
          <optgroup label="Your own">
            {#each ownFonts as f (f.family)}<option value={f.family}>{f.family}</option>{/each}
          </optgroup>
          <optgroup label="Here already">
            {#each shipped as f (f.family)}
              <option value={f.family} title={f.character}>{f.family}</option>
            {/each}
          </optgroup>
        {:else}
          {#each shipped as f (f.family)}
            <option value={f.family} title={f.character}>{f.family}</option>
          {/each}
        {/if}
      </select>
    </label>
    <label class="min-w-0">
      <span class="muted block pb-0.5 text-small">Weight</span>
      <select
        class="field w-full"
        value={weight}
        disabled={weights.length < 2}
        onchange={(e) => {
          const next = Number(e.currentTarget.value);
          void to.keep({ 'lettering/weight': next }, `Weight ${next}`);
        }}
      >
        {#each weights as w (w)}<option value={w}>{w}</option>{/each}
      </select>
    </label>
    <NumberField
      label="Line"
      value={lettering.line ?? 1.5}
      unit="×"
      {...within(RANGES.Lettering.line)}
      step={0.02}
      show={(line) => to.show({ 'lettering/line': line })}
      keep={(line) => to.keep({ 'lettering/line': line }, `Line height ${line}`)}
    />
  </div>
  {#if font && (font.axes.length > 1 || font.instances.length > 0)}<Axes {block} {font} />{/if}
  <SizeSetting {block} />
  <ColourField
    label="Colour"
    words={block.id}
    value={lettering.colour ?? '#000000'}
    show={(colour) => to.show({ 'lettering/colour': colour })}
    keep={(colour) => to.keep({ 'lettering/colour': colour }, `Words in ${colour}`)}
  />
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
    {#if own.includes('level')}
      <label class="flex items-center gap-1.5" title="Its place in the outline; its size is its own">
        <span class="muted text-small">Level</span>
        <select
          class="field"
          value={block.level}
          onchange={(e) =>
            void to.keep(
              { level: Number(e.currentTarget.value) },
              `Heading of level ${e.currentTarget.value}`,
            )}
        >
          {#each [1, 2, 3, 4, 5, 6] as level (level)}<option value={level}>{level}</option>{/each}
        </select>
      </label>
    {/if}
    {#if own.includes('listed')}
      <label class="flex items-center gap-1.5" title="Each line of the words is an entry then">
        <span class="muted text-small">As</span>
        <select
          class="field"
          value={block.listed ?? ''}
          onchange={(e) => void list((e.currentTarget.value || null) as Block['listed'])}
        >
          <option value="">text</option>
          <option value="marks">list</option>
          <option value="numbers">numbered list</option>
        </select>
      </label>
    {/if}
    <div class="shrink-0">
      <Choice
        label="Set"
        short
        value={lettering.align ?? selection.band?.content?.align ?? 'start'}
        options={ALIGNS}
        choose={(align) => void to.keep({ 'lettering/align': align }, `Words ${align}`)}
      />
    </div>
    {#if !own.includes('items') && !block.listed && !block.phrases?.some((phrase) => phrase.link)}
      <div class="min-w-[104px] flex-1">
        <Field
          label="Link"
          hideLabel
          placeholder="Link to …"
          value={block.link ?? ''}
          note="where a click leads: a page of this site, a path, https:, mailto: or tel:"
          keep={(text) => to.keep({ link: text || null }, text ? `Link to ${text}` : 'No link')}
        />
      </div>
    {/if}
  </div>
</div>
