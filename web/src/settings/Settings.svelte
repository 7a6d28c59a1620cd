<script lang="ts">
  import type { Bench } from '../bench/bench.svelte';
  import BlendChooser from '../layers/BlendChooser.svelte';
  import { kindOf } from '../layers/kinds';
  import LayerHead from '../layers/LayerHead.svelte';
  import Pointer from '../layers/Pointer.svelte';
  import Scope from '../parts/Scope.svelte';
  import AreaSettings from './AreaSettings.svelte';
  import BlockPicker from './BlockPicker.svelte';
  import LookSaver from './LookSaver.svelte';
  import WordSettings from './WordSettings.svelte';

  let { bench }: { bench: Bench } = $props();
  const layer = $derived(bench.layer);
  const Kind = $derived(layer ? kindOf(layer).Settings : null);
  const differs = (item: { screens?: Record<string, object> }) => Object.keys(item.screens ?? {});
  /** The screens on which something differs, where settings can be made for one screen. */
  const scoped = $derived(
    layer?.kind === 'image'
      ? differs(layer)
      : bench.cardId === 'base' && bench.area?.kind === 'band' && bench.band
        ? differs(bench.band)
        : null,
  );
  const title = $derived(layer?.name ?? (bench.cardId === 'words' ? 'Words' : (bench.area?.name ?? 'Base')));
</script>

<section aria-label="Settings of {title}" class="min-w-0 overflow-y-auto px-5 pt-2.5 pb-2">
  <div class="flex items-center gap-2 pb-1">
    {#if layer}
      {#key layer.id}<LayerHead {bench} {layer} />{/key}
    {:else}
      <h2 class="display-face max-w-[45%] shrink-0 truncate text-[16px]">{title}</h2>
      {#if bench.cardId === 'words'}<BlockPicker {bench} />{:else}<LookSaver {bench} />{/if}
    {/if}
  </div>
  {#if bench.cardId !== 'words'}
    <div class="flex flex-wrap items-center gap-x-4 pb-1">
      <Pointer {bench} />
      {#if layer}{#key layer.id}<BlendChooser {bench} {layer} />{/key}{/if}
      {#if scoped}<Scope {bench} differs={scoped} />{/if}
    </div>
  {/if}
  {#key `${bench.area?.id}/${bench.cardId}`}
    {#if layer && Kind}
      <Kind {bench} {layer} />
    {:else if bench.cardId === 'words'}
      <WordSettings {bench} />
    {:else}
      <AreaSettings {bench} />
    {/if}
  {/key}
</section>
