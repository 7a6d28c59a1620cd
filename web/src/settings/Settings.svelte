<script lang="ts">
  import type { Bench } from '../bench/bench.svelte';
  import { duplicateLayer, removeLayer } from '../buildup/layers';
  import Scope from '../parts/Scope.svelte';
  import BlockPicker from './BlockPicker.svelte';
  import AreaSettings from './AreaSettings.svelte';
  import ColourSettings from './ColourSettings.svelte';
  import ImageSettings from './ImageSettings.svelte';
  import WordSettings from './WordSettings.svelte';

  let { bench }: { bench: Bench } = $props();
  const layer = $derived(bench.layer);
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

<section aria-label="Settings of {title}" class="min-w-0 overflow-y-auto px-5 pt-3 pb-2">
  <div class="flex items-center gap-2 pb-1">
    <h2 class="display-face max-w-[45%] shrink-0 truncate text-[16px]">{title}</h2>
    <span class="muted text-[12.5px] whitespace-nowrap"
      >{layer ? (layer.kind === 'image' ? 'picture' : 'colour') : ''}</span
    >
    {#if bench.cardId === 'words'}<BlockPicker {bench} />{/if}
    {#if layer}
      <span class="ml-auto flex shrink-0">
        <button type="button" class="quiet" onclick={() => void duplicateLayer(bench, layer)}
          >Duplicate</button
        >
        <button type="button" class="quiet" onclick={() => void removeLayer(bench, layer)}>Remove</button>
      </span>
    {/if}
  </div>
  {#if scoped}<div class="pb-1"><Scope {bench} differs={scoped} /></div>{/if}
  {#key `${bench.area?.id}/${bench.cardId}`}
    {#if layer?.kind === 'colour'}
      <ColourSettings {bench} {layer} />
    {:else if layer?.kind === 'image'}
      <ImageSettings {bench} {layer} />
    {:else if bench.cardId === 'words'}
      <WordSettings {bench} />
    {:else}
      <AreaSettings {bench} />
    {/if}
  {/key}
</section>
