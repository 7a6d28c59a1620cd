<script lang="ts">
  /** The panel behind the words alone: added, taken away, set. */
  import type { Block } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import ColourField from '../parts/ColourField.svelte';
  import { keepBlock, setBlock } from './block';
  import PlateSettings from './PlateSettings.svelte';

  let { bench, block }: { bench: Bench; block: Block } = $props();
  const plate = $derived(block.plate);
</script>

{#if plate}
  <div class="flex flex-col gap-2">
    <ColourField
      {bench}
      label="Base"
      value={plate.backdrop?.base ?? '#00000000'}
      show={(colour) => bench.show(setBlock(bench, block, 'plate/backdrop/base', colour))}
      keep={(colour) => keepBlock(bench, block, 'plate/backdrop/base', colour, `Plate in ${colour}`)}
    />
    <PlateSettings {bench} {block} {plate} />
    <div class="-ml-2 flex">
      <button type="button" class="quiet act" onclick={() => bench.choose(block.id)}>Its layers …</button>
      <button
        type="button"
        class="quiet"
        onclick={() => void keepBlock(bench, block, 'plate', null, 'No plate')}>Take the plate away</button
      >
    </div>
  </div>
{:else}
  <div class="flex items-center gap-3 pt-2">
    <button
      type="button"
      class="btn btn-primary h-[30px] min-h-0 px-3"
      onclick={() =>
        void bench.edit({ kind: 'add-plate', page: bench.page?.id ?? '', block: block.id }, () =>
          bench.chooseBlock(block.id),
        )}>Put a plate behind these words</button
    >
    <span class="muted">A panel behind these words alone; the rest of the picture stays as it is.</span>
  </div>
{/if}
