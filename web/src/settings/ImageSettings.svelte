<script lang="ts">
  import type { ImageLayer, Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import { on, setting } from '../bench/exceptions';
  import Choice from '../parts/Choice.svelte';
  import Differs from '../parts/Differs.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeLength } from '../parts/lengths';
  import LayerStrength from '../layers/LayerStrength.svelte';
  import FilterSettings from './FilterSettings.svelte';
  import FocalPad from './FocalPad.svelte';
  import PictureChooser from './PictureChooser.svelte';
  import PlaceSettings from './PlaceSettings.svelte';
  import TileSettings from './TileSettings.svelte';
  import UploadList from './UploadList.svelte';

  let { bench, layer }: { bench: Bench; layer: ImageLayer } = $props();

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

  const asset = $derived(bench.site?.assets?.find((a) => a.id === layer.asset));
  const path = $derived(bench.layerPath(layer.id));
  const own = $derived(on(layer, bench.scope));
  const framing = $derived(bench.framing?.layer === layer.id ? bench.framing : null);
  const set = (values: Record<string, unknown>): Operation[] => setting(path, layer, values, bench.scope);
  const keep = (values: Record<string, unknown>, label: string) => bench.keep(set(values), label);

  function resize(size: ImageLayer['size']): void {
    const wide = size === 'own' && !own.width && !own.height ? { width: `${asset?.width ?? 300}px` } : {};
    void keep({ size, ...wide }, `${layer.name}: ${size}`);
  }

  /** What words in the picture say; it goes with the picture, wherever that is shown. */
  function letter(value: string | null) {
    const at = bench.site?.assets?.findIndex((a) => a.id === layer.asset) ?? -1;
    const label = value === null ? 'The picture bears no lettering' : 'The picture bears lettering';
    return bench.keep([{ op: 'add', path: `/assets/${at}/lettering`, value }], label);
  }

  const side = (name: 'width' | 'height', text: string) => ({
    [name]: text.trim() === '' || text.trim() === 'auto' ? null : text,
  });
</script>

<div class="flex gap-4">
  {#if asset}
    <div class="flex w-[168px] shrink-0 flex-col gap-1">
      <FocalPad
        picture="/thumbs/{asset.hash.slice(0, 10)}"
        proportion={asset.width / asset.height}
        windows={framing?.screens ?? []}
        value={[own.focal?.[0] ?? 0.5, own.focal?.[1] ?? 0.5]}
        show={(spot) => bench.show(set({ focal: spot, position: null }))}
        keep={(spot) => void keep({ focal: spot, position: null }, `Focal point of ${layer.name}`)}
      />
      <p class="muted text-[12px]">{asset.width} × {asset.height} px, {(asset.bytes / 1024).toFixed(0)} kB</p>
      <label
        class="flex cursor-pointer items-center gap-1.5 text-[12px]"
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
            void bench.edit({
              kind: 'follow-advice',
              page: bench.page?.id ?? '',
              area: bench.area?.id ?? '',
              layer: layer.id,
            })}>Do that</button
        >
      {/if}
    </div>
  {/if}
  <div class="flex min-w-0 flex-1 flex-col gap-1.5">
    <div class="flex items-center gap-2">
      <Choice label="Size" short value={own.size ?? 'cover'} options={SIZES} choose={resize} />
      <Differs {bench} item={layer} fields={['size', 'width', 'height', 'crop']} />
    </div>
    {#if own.size === 'own'}
      <div class="flex items-center gap-2 pl-[60px]">
        {#each ['width', 'height'] as const as name (name)}
          <Field
            label={name === 'width' ? 'Own width' : 'Own height'}
            hideLabel
            value={own[name] ?? 'auto'}
            nudge={nudgeLength}
            note="{name}: px, % of the area, vw, rem, or auto"
            show={(text) => bench.show(set(side(name, text)))}
            keep={(text) => keep(side(name, text), `${layer.name}: ${name} ${text}`)}
          />
        {/each}
      </div>
    {/if}
    <PlaceSettings {bench} {layer} {own} {set} {keep} />
    <TileSettings {bench} {layer} />
    <LayerStrength {bench} {layer} ink="#8a8378" />
    <FilterSettings {bench} {layer} />
    <PictureChooser {bench} {layer} />
  </div>
</div>
<UploadList uploads={bench.uploads} />

<style>
  .advice {
    font-size: 12px;
    line-height: 1.3;
    padding-left: 8px;
    border-left: 3px solid var(--color-info);
  }
</style>
