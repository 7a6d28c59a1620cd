<script lang="ts">
  /** Repeating and scrolling. */
  import type { ImageLayer, Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeNumber } from '../parts/lengths';

  let { bench, layer }: { bench: Bench; layer: ImageLayer } = $props();

  type Style = NonNullable<ImageLayer['repeat']>[0];
  const STYLES: { value: Style; name: string }[] = [
    { value: 'no-repeat', name: 'once' },
    { value: 'repeat', name: 'repeated' },
    { value: 'space', name: 'whole, spaced' },
    { value: 'round', name: 'whole, resized' },
  ];
  const MOVES = [
    { value: 'scroll', name: 'moves with the page' },
    { value: 'fixed', name: 'stays put' },
    { value: 'slower', name: 'moves slower' },
  ] as const;
  const repeat = $derived(layer.repeat ?? ['no-repeat', 'no-repeat']);
  const path = $derived(bench.layerPath(layer.id));
  const set = (field: string, value: unknown): Operation[] => [
    { op: 'add', path: `${path}/${field}`, value },
  ];
  const tile = (axis: 0 | 1, style: Style) =>
    bench.keep(
      set('repeat', axis ? [repeat[0], style] : [style, repeat[1]]),
      `${layer.name}: ${style} ${axis ? 'down' : 'across'}`,
    );
</script>

<div class="flex items-center gap-2">
  <span class="muted w-[52px] shrink-0 text-[13px]">Tiles</span>
  {#each [0, 1] as const as axis (axis)}
    <select
      class="field min-w-0 flex-1 text-[12.5px]"
      aria-label={axis ? 'Tiles downwards' : 'Tiles across'}
      title={axis ? 'downwards' : 'across'}
      value={repeat[axis]}
      onchange={(e) => void tile(axis, e.currentTarget.value as Style)}
    >
      {#each STYLES as { value, name } (value)}
        <option {value}>{axis ? '↕' : '↔'} {name}</option>
      {/each}
    </select>
  {/each}
</div>
<div class="flex items-center gap-2">
  <span class="muted w-[52px] shrink-0 text-[13px]">Scroll</span>
  <select
    class="field min-w-0 flex-1 text-[12.5px]"
    aria-label="When the page scrolls"
    value={layer.attachment ?? 'scroll'}
    onchange={(e) =>
      void bench.keep(set('attachment', e.currentTarget.value), `${layer.name}: ${e.currentTarget.value}`)}
  >
    {#each MOVES as { value, name } (value)}<option {value}>{name}</option>{/each}
  </select>
  {#if layer.attachment === 'slower'}
    <Field
      label="Times the page's speed"
      hideLabel
      width="70px"
      value={String(layer.rate ?? 0.5)}
      nudge={nudgeNumber(0.05, 0.05, 0.95)}
      note="times the page's speed, 0.05 to 0.95"
      show={(text) => bench.show(set('rate', Number(text)))}
      keep={(text) => bench.keep(set('rate', Number(text)), `${layer.name} at ${text} times the speed`)}
    />
  {/if}
</div>
