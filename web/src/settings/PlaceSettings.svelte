<script lang="ts">
  /** Where the picture lies: by its focal point, at one of nine places, or at offsets from edges. */
  import type { ImageLayer, Problem } from '../api/types';
  import Anchors from '../parts/Anchors.svelte';
  import Differs from '../parts/Differs.svelte';
  import type { Values } from '../state/editor';
  import LengthField from '../parts/LengthField.svelte';

  type Props = {
    layer: ImageLayer;
    own: ImageLayer;
    show: (values: Values) => void;
    keep: (values: Values, label: string) => Promise<Problem | null>;
  };
  let { layer, own, show, keep }: Props = $props();

  type Position = NonNullable<ImageLayer['position']>;
  const place = $derived<Position | null>(own.position ?? null);
  const share = (text: string | undefined, far: boolean): number | null => {
    const match = /^(\d+(?:\.\d+)?)%$/.exec(text ?? '');
    if (!match) return text === '0px' ? (far ? 1 : 0) : null;
    const value = Number(match[1]) / 100;
    return far ? 1 - value : value;
  };
  const anchor = $derived.by((): [number, number] | null => {
    if (!place) return null;
    const x = share(place.across, place.side === 'right');
    const y = share(place.down, place.end === 'bottom');
    return x === null || y === null ? null : [x, y];
  });
  const at = (x: number, y: number): Position => ({
    side: 'left',
    across: `${x * 100}%`,
    end: 'top',
    down: `${y * 100}%`,
  });
  const changed = (part: Partial<Position>): Position => ({ ...(place ?? at(0.5, 0.5)), ...part });
  const move = (part: Partial<Position>, label: string) =>
    keep({ position: changed(part) }, `${layer.name}: ${label}`);
</script>

<div class="flex flex-wrap items-center gap-x-2">
  <span class="muted w-11 shrink-0 text-small">Place</span>
  <Anchors
    value={anchor}
    choose={([x, y]) => void keep({ position: at(x, y) }, `${layer.name} at ${x * 100} % ${y * 100} %`)}
  />
  {#if place}
    <div class="grid min-w-0 flex-1 grid-cols-[78px_minmax(0,1fr)] gap-1">
      <select
        class="field text-small"
        aria-label="From which side"
        value={place.side}
        onchange={(e) =>
          void move({ side: e.currentTarget.value as Position['side'] }, e.currentTarget.value)}
      >
        <option value="left">left</option><option value="right">right</option>
      </select>
      <LengthField
        label="Offset from the side"
        hideLabel
        value={place.across ?? '50%'}
        signed
        show={(text) => show({ position: changed({ across: text }) })}
        keep={(text) => move({ across: text }, text)}
      />
      <select
        class="field text-small"
        aria-label="From which end"
        value={place.end}
        onchange={(e) => void move({ end: e.currentTarget.value as Position['end'] }, e.currentTarget.value)}
      >
        <option value="top">top</option><option value="bottom">bottom</option>
      </select>
      <LengthField
        label="Offset from the end"
        hideLabel
        value={place.down ?? '50%'}
        signed
        show={(text) => show({ position: changed({ down: text }) })}
        keep={(text) => move({ down: text }, text)}
      />
    </div>
  {:else}
    <span class="muted text-small">by its focal point</span>
  {/if}
  {#if place}
    <button
      type="button"
      class="quiet act ml-11 text-small"
      onclick={() => void keep({ position: null }, `${layer.name} by its focal point`)}
      >Place it by its focal point</button
    >
  {/if}
  <Differs item={layer} fields={['focal', 'position']} />
</div>
