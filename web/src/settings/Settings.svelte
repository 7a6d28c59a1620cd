<script lang="ts">
  import type { Bench } from '../bench/bench.svelte';
  import { duplicateLayer, removeLayer } from '../buildup/layers';
  import BlockPicker from './BlockPicker.svelte';
  import BaseSettings from './BaseSettings.svelte';
  import ColourSettings from './ColourSettings.svelte';
  import ImageSettings from './ImageSettings.svelte';
  import WordSettings from './WordSettings.svelte';

  let { bench }: { bench: Bench } = $props();
  const layer = $derived(bench.layer);
  const title = $derived(layer?.name ?? (bench.cardId === 'words' ? 'Words' : 'Base'));
</script>

<section aria-label="Settings of {title}" class="min-w-0 overflow-y-auto px-5 pt-3 pb-2">
  <div class="flex items-center gap-2 pb-1.5">
    <h2 class="display-face max-w-[55%] shrink-0 truncate text-[16px]">{title}</h2>
    <span class="muted text-[12.5px] whitespace-nowrap"
      >{layer ? (layer.kind === 'image' ? 'picture' : 'colour') : ''}</span
    >
    {#if bench.cardId === 'words' && bench.blocks.length > 1}<BlockPicker {bench} />{/if}
    {#if layer}
      <span class="ml-auto flex">
        <button type="button" class="quiet" onclick={() => void duplicateLayer(bench, layer)}
          >Duplicate</button
        >
        <button type="button" class="quiet" onclick={() => void removeLayer(bench, layer)}>Remove</button>
      </span>
    {/if}
  </div>
  {#key `${bench.band?.id}/${bench.cardId}`}
    {#if layer?.kind === 'colour'}
      <ColourSettings {bench} {layer} />
    {:else if layer?.kind === 'image'}
      <ImageSettings {bench} {layer} />
    {:else if bench.cardId === 'words'}
      <WordSettings {bench} />
    {:else}
      <BaseSettings {bench} />
    {/if}
  {/key}
</section>
