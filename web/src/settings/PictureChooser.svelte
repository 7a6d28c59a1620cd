<script lang="ts">
  /** The site's pictures, one click each, and the way in for a new one. */
  import type { Asset, ImageLayer } from '../api/types';
  import Thumbs from '../parts/Thumbs.svelte';
  import { useBench } from '../state/context';

  let { layer = null }: { layer?: ImageLayer | null } = $props();
  const { doc, uploads } = useBench();

  const MOST = 9;
  const assets = $derived.by(() => {
    const all = doc.site?.assets ?? [];
    const own = all.filter((a) => a.id === layer?.asset);
    return [...own, ...all.filter((a) => a.id !== layer?.asset).toReversed()].slice(0, MOST);
  });
  const more = $derived((doc.site?.assets?.length ?? 0) - assets.length);

  function choose(asset: Asset): void {
    if (asset.id !== layer?.asset) void uploads.lay(asset, layer);
  }

  function bring(event: Event & { currentTarget: HTMLInputElement }): void {
    const files = [...(event.currentTarget.files ?? [])];
    event.currentTarget.value = '';
    void uploads.bring(files, true);
  }
</script>

<div class="flex flex-wrap gap-1.5" role="group" aria-label="Pictures">
  <Thumbs {assets} chosen={layer?.asset ?? null} {choose} />
  {#if more > 0}<span class="muted self-center text-small">{more} more on the shelf</span>{/if}
  <label class="bring">
    Bring a picture
    <input
      type="file"
      class="sr-only"
      multiple
      accept="image/jpeg,image/png,image/webp,image/avif,image/gif,image/svg+xml,video/mp4,video/quicktime,video/webm"
      onchange={bring}
      aria-label="Bring a picture: JPEG, PNG, WebP, AVIF, GIF or SVG"
    />
  </label>
</div>

<style>
  .bring {
    display: inline-flex;
    align-items: center;
    min-height: 28px;
    padding: 0 10px;
    border: 1px dashed var(--color-primary);
    color: var(--color-primary);
    font-weight: 600;
    cursor: pointer;
  }
  .bring:has(:focus-visible) {
    outline: 2px solid var(--color-primary);
    outline-offset: 2px;
  }
</style>
