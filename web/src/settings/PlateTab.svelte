<script lang="ts">
  /** The panel behind the words alone: added, taken away, set. */
  import type { Block } from '../api/types';
  import ColourField from '../parts/ColourField.svelte';
  import { editorOf } from '../state/editor';
  import PlateSettings from './PlateSettings.svelte';
  import { useBench } from '../state/context';

  let { block }: { block: Block } = $props();
  const { edits, selection } = useBench();
  const to = editorOf((chosen) => chosen.blockTarget(block.id));
  const plate = $derived(block.plate);
</script>

{#if plate}
  <div class="flex flex-col gap-2">
    <ColourField
      label="Base"
      value={plate.backdrop?.base ?? '#00000000'}
      show={(colour) => to.show({ 'plate/backdrop/base': colour })}
      keep={(colour) => to.keep({ 'plate/backdrop/base': colour }, `Plate in ${colour}`)}
    />
    <PlateSettings {block} {plate} />
    <div class="-ml-2 flex">
      <button type="button" class="quiet act" onclick={() => selection.choose(block.id)}>Its layers …</button>
      <button type="button" class="quiet" onclick={() => void to.keep({ plate: null }, 'No plate')}
        >Take the plate away</button
      >
    </div>
  </div>
{:else}
  <div class="flex items-center gap-3 pt-2">
    <button
      type="button"
      class="btn btn-primary h-[30px] min-h-0 px-3"
      onclick={() =>
        void edits.edit({ kind: 'add-plate', page: selection.page?.id ?? '', block: block.id }, () =>
          selection.chooseBlock(block.id),
        )}>Put a plate behind these words</button
    >
    <span class="muted">A panel behind these words alone; the rest of the picture stays as it is.</span>
  </div>
{/if}
