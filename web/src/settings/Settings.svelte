<script lang="ts">
  import BlendChooser from '../layers/BlendChooser.svelte';
  import { settingsOf, varies } from '../layers/kinds';
  import LayerHead from '../layers/LayerHead.svelte';
  import Pointer from '../layers/Pointer.svelte';
  import ShownOn from '../layers/ShownOn.svelte';
  import Scope from '../parts/Scope.svelte';
  import AreaSettings from './AreaSettings.svelte';
  import BlockPicker from './BlockPicker.svelte';
  import LookSaver from './LookSaver.svelte';
  import SharedLine from './SharedLine.svelte';
  import WordSettings from './WordSettings.svelte';
  import { useBench } from '../state/context';

  const { doc, selection } = useBench();
  const layer = $derived(selection.layer);
  const Own = $derived(layer ? settingsOf(layer) : null);
  const differs = (item: { screens?: Record<string, object> }) => Object.keys(item.screens ?? {});
  /** The screens on which something differs, where settings can be made for one screen. */
  const scoped = $derived(
    layer && varies(layer)
      ? differs(layer)
      : selection.cardId === 'base' && selection.area?.kind === 'band' && selection.band
        ? differs(selection.band)
        : null,
  );
  const title = $derived(
    layer?.name ?? (selection.cardId === 'words' ? 'Words' : (selection.area?.name ?? 'Base')),
  );
</script>

<section aria-label="Settings of {title}" class="settings">
  {#key `${selection.area?.id}/${selection.cardId}`}
    <div class="flex items-center gap-2 pb-1">
      {#if layer}
        <LayerHead {layer} />
      {:else}
        <h2 class="display-face max-w-[45%] shrink-0 truncate text-title">{title}</h2>
        {#if selection.cardId === 'words'}<BlockPicker />{:else}<LookSaver />{/if}
      {/if}
    </div>
    <SharedLine />
    {#if selection.cardId !== 'words'}
      <div class="flex flex-wrap items-center gap-x-4 pb-1">
        <Pointer />
        {#if layer}<BlendChooser {layer} />{/if}
        {#if layer && doc.screens.length > 1}<ShownOn {layer} />{/if}
        {#if scoped}<Scope differs={scoped} />{/if}
      </div>
    {/if}
    {#if layer}
      <Own {layer} />
    {:else if selection.cardId === 'words'}
      <WordSettings />
    {:else}
      <AreaSettings />
    {/if}
  {/key}
</section>

<style>
  .settings {
    min-width: 0;
    min-height: 0;
    padding: 8px 20px;
    overflow-y: auto;
    overscroll-behavior: contain;
  }
  @container bench (max-width: 819px) {
    .settings {
      padding: 0 16px 8px;
    }
  }
</style>
