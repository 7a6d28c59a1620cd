<script lang="ts">
  import type { ImageLayer } from '../../../api/types';
  import { on } from '../../../state/screens';
  import { editorOf, type Values } from '../../../state/editor';
  import { put } from '../../../state/target';
  import Choice from '../../../parts/Choice.svelte';
  import Differs from '../../../parts/Differs.svelte';
  import Field from '../../../parts/Field.svelte';
  import LengthField from '../../../parts/LengthField.svelte';
  import LayerStrength from '../../LayerStrength.svelte';
  import FilterSettings from '../../../settings/FilterSettings.svelte';
  import FocalPad from '../../../settings/FocalPad.svelte';
  import PictureChooser from '../../../settings/PictureChooser.svelte';
  import PlaceSettings from '../../../settings/PlaceSettings.svelte';
  import TileSettings from '../../../settings/TileSettings.svelte';
  import TakeTurns from '../../TakeTurns.svelte';
  import Tabs from '../../../parts/Tabs.svelte';
  import { weight } from '../../../parts/weight';
  import UploadList from '../../../settings/UploadList.svelte';
  import { DOUBT, doubtful } from '../../../framing/sureness';
  import { useBench } from '../../../state/context';
  import { thumbAt } from '../../../parts/thumb';

  /** `member`: it takes turns with others, whose strength they share. */
  let { layer, member = false }: { layer: ImageLayer; member?: boolean } = $props();
  const { doc, edits, findings, place, selection, uploads } = useBench();

  const SIZES = [
    { value: 'cover', name: 'Fill', note: 'cover: fills the area; what does not fit is cut off' },
    {
      value: 'contain',
      name: 'Whole',
      note: 'contain: shows all of it; what is left over shows the base colour',
    },
    { value: 'natural', name: 'Natural', note: 'one picture px is one CSS px' },
    { value: 'stretch', name: 'Stretch', note: "takes the area's width and height, whatever its proportion" },
    { value: 'own', name: 'Own', note: 'a width and a height of your own' },
  ] as const;

  const to = editorOf((chosen) => chosen.layerTarget(layer.id));
  const TABS = [
    { id: 'place', name: 'Size and place' },
    { id: 'look', name: 'Look, other pictures' },
  ] as const;
  const tab = $derived(TABS.find((t) => t.id === place.tab)?.id ?? 'place');
  const asset = $derived(doc.site?.assets?.find((a) => a.id === layer.asset));
  const own = $derived(on(layer, selection.scope));
  const framing = $derived(findings.framing?.layer === layer.id ? findings.framing : null);
  const show = (values: Values) => to.show(values, selection.scope);
  const keep = (values: Values, label: string) => to.keep(values, label, selection.scope);

  function resize(size: ImageLayer['size']): void {
    const wide = size === 'own' && !own.width && !own.height ? { width: `${asset?.width ?? 300}px` } : {};
    void keep({ size, ...wide }, `${layer.name}: ${size}`);
  }

  /** What words in the picture say; it goes with the picture, wherever that is shown. */
  function letter(value: string | null) {
    const label = value === null ? 'The picture bears no lettering' : 'The picture bears lettering';
    return edits.keep(put({ list: 'assets', item: layer.asset }, { lettering: value }), label);
  }

  /** A side that is typed is its own size from then on. */
  const side = (name: 'width' | 'height', text: string) => ({
    ...(own.size === 'natural' ? { size: 'own' } : {}),
    [name]: text.trim() === '' || text.trim() === 'auto' ? null : text,
  });
  /** A side of the part that is shown, in the picture's own px. */
  const natural = (name: 'width' | 'height') =>
    `${Math.round((asset?.[name] ?? 0) * (own.crop?.[name] ?? 1))}px`;
</script>

<div class="flex gap-4">
  {#if asset}
    <div class="flex max-w-[168px] min-w-[128px] shrink-0 basis-1/3 flex-col gap-1">
      <FocalPad
        picture={thumbAt(asset.hash)}
        proportion={asset.width / asset.height}
        windows={framing?.screens ?? []}
        value={[own.focal?.[0] ?? 0.5, own.focal?.[1] ?? 0.5]}
        show={(spot) => show({ focal: spot, position: null })}
        keep={(spot) => keep({ focal: spot, position: null }, `Focal point of ${layer.name}`)}
      />
      {#if framing && own.size !== 'natural' && doubtful(framing, own.focal)}
        <p class="advice" role="status">{DOUBT} Tap what must stay in sight.</p>
      {/if}
      <p class="muted text-small">{asset.width} × {asset.height} px, {weight(asset.bytes)}</p>
      <label
        class="flex cursor-pointer items-center gap-1.5 text-small"
        title="Words in the picture itself. They are not measured; say what they say for those who cannot see them."
      >
        <input
          type="checkbox"
          checked={asset.lettering !== null && asset.lettering !== undefined}
          onchange={(e) => void letter(e.currentTarget.checked ? '' : null)}
        />
        bears lettering
      </label>
      {#if asset.lettering !== null && asset.lettering !== undefined}
        <Field label="It says" value={asset.lettering} keep={(text) => letter(text)} />
      {/if}
      {#if framing && !framing.advised}
        <p class="advice">{framing.advice}</p>
        <button
          type="button"
          class="quiet act self-start px-0"
          onclick={() =>
            void edits.edit({
              kind: 'follow-advice',
              page: selection.page?.id ?? '',
              area: selection.area?.id ?? '',
              layer: layer.id,
            })}>Do that</button
        >
      {/if}
    </div>
  {/if}
  <div class="min-w-0 flex-1">
    <Tabs label="Settings of the picture" tabs={TABS} value={tab} choose={(id) => place.turn(id)}>
      <div class="flex flex-col gap-1.5">
        {#if tab === 'place'}
          <div class="flex items-center gap-2">
            <Choice label="Size" short value={own.size ?? 'cover'} options={SIZES} choose={resize} />
            <Differs item={layer} fields={['size', 'width', 'height', 'crop']} />
          </div>
          {#if own.size === 'own' || own.size === 'natural'}
            <div class="flex items-center gap-2 pl-[52px]">
              {#each ['width', 'height'] as const as name (name)}
                <LengthField
                  label={name === 'width' ? 'Own width' : 'Own height'}
                  hideLabel
                  value={own.size === 'natural' ? natural(name) : (own[name] ?? 'auto')}
                  note="{name}: px, % of the area, vw, rem, or auto"
                  show={(text) => show(side(name, text))}
                  keep={(text) => keep(side(name, text), `${layer.name}: ${name} ${text}`)}
                />
              {/each}
            </div>
          {/if}
          <PlaceSettings {layer} {own} {show} {keep} />
          <TileSettings {layer} {member} />
        {:else}
          {#if !member}
            <LayerStrength {layer} ink="#8a8378" />
            <TakeTurns {layer} others="pictures" />
          {/if}
          <FilterSettings {layer} />
          <PictureChooser {layer} />
        {/if}
      </div>
    </Tabs>
  </div>
</div>
<UploadList {uploads} />

<style>
  .advice {
    font-size: var(--text-small);
    line-height: 1.3;
    padding-left: 8px;
    border-left: 3px solid var(--color-info);
  }
</style>
