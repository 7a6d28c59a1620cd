<script lang="ts">
  /** The area itself: its base colour, and what its kind has: the page's width, a band's height and spaces. */
  import type { Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import { basePatch } from '../layers/change';
  import ColourField from '../parts/ColourField.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeLength } from '../parts/lengths';
  import BandSettings from './BandSettings.svelte';
  import PlateSettings from './PlateSettings.svelte';
  import PictureChooser from './PictureChooser.svelte';
  import UploadList from './UploadList.svelte';

  let { bench }: { bench: Bench } = $props();

  const area = $derived(bench.area);
  const set = (field: string, value: unknown): Operation[] => [
    { op: 'add', path: `${bench.areaPath}/${field}`, value },
  ];
  const width = (text: string) => (text.trim() === '' || text.trim() === 'all' ? null : text);
  const views = $derived(
    bench.areaViews.map((v) => ({ name: v.name, own: v.areas.find((a) => a.area === area?.id) })),
  );
  const sentences = $derived.by(() => {
    const seen = views.flatMap(({ name, own }) => (own?.sentence ? [{ name, text: own.sentence }] : []));
    const first = seen[0];
    if (first && seen.every((s) => s.text === first.text))
      return [{ name: 'every screen', text: first.text }];
    return seen;
  });
  const cure = $derived(views.find((v) => v.own?.cure)?.own?.cure);
</script>

<div class="flex flex-col gap-2">
  <ColourField
    {bench}
    label="Base"
    value={(bench.pointed ? area?.backdrop.over?.base : null) ?? area?.backdrop.base ?? '#ffffff'}
    show={(colour) => bench.show(basePatch(bench, colour))}
    keep={(colour) => bench.keep(basePatch(bench, colour), `Base in ${colour}`)}
  />
  <p class="muted text-[12.5px]">
    {area?.backdrop.base ? '' : 'No base colour: what lies below shows through. '}Visitors see it while the
    picture loads, and if it never does.
    {#if area?.backdrop.base && area.kind !== 'page'}
      <button
        type="button"
        class="act cursor-pointer"
        onclick={() => void bench.keep(set('backdrop/base', null), 'No base colour')}>Without</button
      >
    {/if}
  </p>
  {#if area?.kind === 'page'}
    <div class="grid grid-cols-2 gap-3">
      <Field
        label="Width of the content"
        value={bench.page?.width ?? 'all'}
        nudge={nudgeLength}
        note="px, rem or %; all: as wide as the screen. Beside it the page's own background shows"
        show={(text) => bench.show(set('width', width(text)))}
        keep={(text) => bench.keep(set('width', width(text)), `Content ${text} wide`)}
      />
    </div>
  {:else if area?.kind === 'band' && bench.band}
    <BandSettings {bench} band={bench.band} />
  {:else if area?.kind === 'block' && area.blocks[0]?.plate}
    <PlateSettings {bench} block={area.blocks[0]} plate={area.blocks[0].plate} />
  {:else if area?.kind === 'column'}
    <div class="grid grid-cols-2 gap-3">
      {#each [['block', 'Space above, below'], ['inline', 'Space beside']] as const as [side, label] (side)}
        <Field
          {label}
          value={area.column?.padding?.[side] ?? '0px'}
          nudge={nudgeLength}
          note="inner space: the column's base shows in it"
          show={(text) => bench.show(set(`padding/${side}`, text))}
          keep={(text) => bench.keep(set(`padding/${side}`, text), `${label} ${text}`)}
        />
      {/each}
    </div>
  {/if}
  <ul class="seen">
    {#each sentences as { name, text } (name)}
      <li><span class="muted">{name}:</span> {text}</li>
    {/each}
  </ul>
  {#if cure}
    <button
      type="button"
      class="btn btn-primary h-[30px] min-h-0 self-start px-3"
      onclick={() => void bench.keep(set('height/min', cure.height), `Least height ${cure.height}`)}
      >Give it a height of {cure.height}</button
    >
  {/if}
  {#if !bench.layers.some((l) => l.kind === 'image')}
    <div class="flex items-center gap-3">
      <span class="muted whitespace-nowrap">No picture yet:</span><PictureChooser {bench} />
    </div>
  {/if}
  <UploadList uploads={bench.uploads} />
</div>

<style>
  .seen {
    font-size: 12.5px;
    line-height: 1.35;
  }
</style>
