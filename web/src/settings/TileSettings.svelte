<script lang="ts">
  /** Repeating and scrolling. */
  import { RANGES } from '../api/ranges';
  import type { ImageLayer } from '../api/types';
  import { within } from '../parts/numbers';
  import NumberField from '../parts/NumberField.svelte';
  import { editorOf } from '../state/editor';

  /** `member`: it takes turns with others, and moves with the page as they do. */
  let { layer, member = false }: { layer: ImageLayer; member?: boolean } = $props();

  type Style = NonNullable<ImageLayer['repeat']>[0];
  const STYLES: { value: Style; name: string; note: string }[] = [
    { value: 'no-repeat', name: 'once', note: 'it is shown once' },
    { value: 'repeat', name: 'repeated', note: 'again and again, cut at the edges' },
    { value: 'space', name: 'spaced', note: 'whole pictures, with space between them' },
    { value: 'round', name: 'resized', note: 'whole pictures, resized until they fit' },
  ];
  const MOVES = [
    { value: 'scroll', name: 'moves with the page' },
    { value: 'fixed', name: 'stays put' },
    { value: 'slower', name: 'moves slower' },
  ] as const;
  const repeat = $derived(layer.repeat ?? ['no-repeat', 'no-repeat']);
  const to = editorOf((chosen) => chosen.layerTarget(layer.id));
  const tile = (axis: 0 | 1, style: Style) =>
    to.keep(
      { repeat: axis ? [repeat[0], style] : [style, repeat[1]] },
      `${layer.name}: ${style} ${axis ? 'down' : 'across'}`,
    );
</script>

<div class="flex items-center gap-2">
  <span class="muted w-11 shrink-0 text-small">Tiles</span>
  {#each [0, 1] as const as axis (axis)}
    <select
      class="field min-w-0 flex-1 px-1 text-small"
      aria-label={axis ? 'Tiles downwards' : 'Tiles across'}
      title="{axis ? 'Downwards' : 'Across'}: {STYLES.find((s) => s.value === repeat[axis])?.note}"
      value={repeat[axis]}
      onchange={(e) => void tile(axis, e.currentTarget.value as Style)}
    >
      {#each STYLES as { value, name } (value)}
        <option {value}>{axis ? '↕' : '↔'} {name}</option>
      {/each}
    </select>
  {/each}
</div>
{#if !member}
  <div class="flex items-center gap-2">
    <span class="muted w-11 shrink-0 text-small">Scroll</span>
    <select
      class="field min-w-0 flex-1 text-small"
      aria-label="When the page scrolls"
      value={layer.attachment ?? 'scroll'}
      onchange={(e) =>
        void to.keep({ attachment: e.currentTarget.value }, `${layer.name}: ${e.currentTarget.value}`)}
    >
      {#each MOVES as { value, name } (value)}<option {value}>{name}</option>{/each}
    </select>
    {#if layer.attachment === 'slower'}
      <NumberField
        label="Times the page's speed"
        hideLabel
        width="76px"
        value={layer.rate ?? 0.5}
        unit="×"
        {...within(RANGES.ImageLayer.rate)}
        step={0.05}
        show={(rate) => to.show({ rate })}
        keep={(rate) => to.keep({ rate }, `${layer.name} at ${rate} times the speed`)}
      />
    {/if}
  </div>
{/if}
