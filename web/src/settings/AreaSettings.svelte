<script lang="ts">
  /** The area itself: its base colour, and what its kind has: the page's width, a band's height and spaces. */
  import { baseChange } from '../layers/change';
  import Choice from '../parts/Choice.svelte';
  import ColourField from '../parts/ColourField.svelte';
  import LengthField from '../parts/LengthField.svelte';
  import { editorOf } from '../state/editor';
  import BandSettings from './BandSettings.svelte';
  import PlateSettings from './PlateSettings.svelte';
  import PictureChooser from './PictureChooser.svelte';
  import Tabs from '../parts/Tabs.svelte';
  import UploadList from './UploadList.svelte';
  import { picturesOf } from '../layers/members';
  import { useBench } from '../state/context';

  const { edits, findings, place, selection, sight, uploads } = useBench();

  const area = $derived(selection.area);
  const to = editorOf((chosen) => chosen.target);
  const STANDS = [
    { value: 'start', name: 'at the top' },
    { value: 'center', name: 'in the middle' },
    { value: 'end', name: 'at the foot' },
  ] as const;
  const TABS = [
    { id: 'base', name: 'Base and picture' },
    { id: 'size', name: 'Size and space' },
  ] as const;
  const pictured = $derived(selection.layers.some((l) => picturesOf(l).length > 0));
  const tab = $derived(TABS.find((t) => t.id === place.tab)?.id ?? 'base');
  const width = (text: string) => (text.trim() === '' || text.trim() === 'all' ? null : text);
  const views = $derived(
    findings.areaViews.map((v) => ({ name: v.name, own: v.areas.find((a) => a.area === area?.id) })),
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

<Tabs label="Settings of the area" tabs={TABS} value={tab} choose={(id) => place.turn(id)}>
  <div class="flex flex-col gap-2">
    {#if tab === 'base'}
      <ColourField
        label="Base"
        value={(sight.pointed ? area?.backdrop.over?.base : null) ?? area?.backdrop.base ?? '#ffffff'}
        show={(colour) => edits.show(baseChange(to.target, colour, sight.pointed))}
        keep={(colour) => edits.keep(baseChange(to.target, colour, sight.pointed), `Base in ${colour}`)}
      />
      <p class="muted text-small">
        {area?.backdrop.base ? '' : 'No base colour: what lies below shows through.'}
        {area?.backdrop.base && pictured
          ? 'Visitors see it while the picture loads, and if it never does.'
          : ''}
        {#if area?.backdrop.base && area.kind !== 'page'}
          <button
            type="button"
            class="act cursor-pointer"
            onclick={() => void to.keep({ 'backdrop/base': null }, 'No base colour')}
            >Take the base colour away</button
          >
        {/if}
      </p>
      <ul class="seen">
        {#each sentences as { name, text } (name)}
          <li><span class="muted">{name}:</span> {text}</li>
        {/each}
      </ul>
      {#if cure}
        <button
          type="button"
          class="btn btn-primary h-[30px] min-h-0 self-start px-3"
          onclick={() => void to.keep({ 'height/min': cure.height }, `Least height ${cure.height}`)}
          >Give it a height of {cure.height}</button
        >
      {/if}
      {#if !pictured}
        <div class="flex items-center gap-3">
          <span class="muted whitespace-nowrap">No picture yet:</span><PictureChooser />
        </div>
      {/if}
      <UploadList {uploads} />
    {:else}
      {#if area?.kind === 'page'}
        <div class="grid grid-cols-2 gap-3">
          <LengthField
            label="Width of the content"
            value={selection.page?.width ?? 'all'}
            note="px, rem or %; all: as wide as the screen. Beside it the page's own background shows"
            show={(text) => to.show({ width: width(text) })}
            keep={(text) => to.keep({ width: width(text) }, `Content ${text} wide`)}
          />
        </div>
      {:else if area?.kind === 'band' && selection.band}
        <BandSettings band={selection.band} />
      {:else if area?.kind === 'block' && area.blocks[0]?.plate}
        <PlateSettings block={area.blocks[0]} plate={area.blocks[0].plate} />
      {:else if area?.kind === 'column'}
        <div class="grid grid-cols-3 gap-3">
          <LengthField
            label="Least height"
            value={area.column?.height ?? '0px'}
            note="px, vh, vw or clamp(): so much of its picture is to be seen"
            show={(text) => to.show({ height: text })}
            keep={(text) => to.keep({ height: text }, `Least height ${text}`)}
          />
          {#each [['block', 'Space above, below'], ['inline', 'Space beside']] as const as [side, label] (side)}
            <LengthField
              {label}
              value={area.column?.padding?.[side] ?? '0px'}
              note="inner space: the column's base shows in it"
              show={(text) => to.show({ [`padding/${side}`]: text })}
              keep={(text) => to.keep({ [`padding/${side}`]: text }, `${label} ${text}`)}
            />
          {/each}
        </div>
        <Choice
          label="Words"
          value={area.column?.stand ?? selection.band?.content?.level ?? 'start'}
          options={STANDS}
          choose={(stand) => void to.keep({ stand }, `Words ${STANDS.find((s) => s.value === stand)?.name}`)}
        />
      {/if}
    {/if}
  </div>
</Tabs>

<style>
  .seen {
    font-size: var(--text-small);
    line-height: 1.35;
  }
</style>
