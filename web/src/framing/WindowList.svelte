<script lang="ts">
  /** Each screen's window as a small true picture, and what it costs. */
  import type { Asset, Framing, ImageLayer } from '../api/types';
  import { thumbOf } from '../layers/members';
  import { differing } from '../state/screens';
  import { useBench } from '../state/context';

  type Props = { layer: ImageLayer; asset: Asset; framing: Framing | null };
  let { layer, asset, framing }: Props = $props();
  const { edits, selection } = useBench();

  const HEIGHT = 58;
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const own = $derived(differing(layer, ['focal', 'position', 'crop', 'size', 'width', 'height']));

  function cut([x, y, w, h]: readonly number[]): string {
    const wide = w && h ? (HEIGHT * (w * asset.width)) / (h * asset.height) : HEIGHT;
    const width = Math.min(110, wide);
    const height = Math.min(HEIGHT, (HEIGHT * width) / wide);
    const size = `${width / (w || 1)}px ${height / (h || 1)}px`;
    const at = `${(-(x ?? 0) * width) / (w || 1)}px ${(-(y ?? 0) * height) / (h || 1)}px`;
    return `width:${width}px;height:${height}px;background-size:${size};background-position:${at}`;
  }
</script>

<ul aria-label="Windows">
  {#each framing?.screens ?? [] as view (view.screen)}
    <li class="row">
      <span class="cut" style="background-image:url({thumbOf(asset, layer, true)});{cut(view.window)}"></span>
      <div class="min-w-0">
        <p>
          <b>{view.name}</b>
          {#if own.includes(view.screen)}
            <button
              type="button"
              class="act cursor-pointer text-small"
              onclick={() =>
                void edits.edit({
                  kind: 'same-everywhere',
                  page: selection.page?.id ?? '',
                  item: layer.id,
                  field: 'focal',
                })}>own focal point: as everywhere</button
            >
          {/if}
        </p>
        <p class="text-small">
          {#if view.tiles[0] > 1.01 || view.tiles[1] > 1.01}{view.tiles[0].toFixed(1)} × {view.tiles[1].toFixed(
              1,
            )} tiles{:else}<b>{percent(view.lost)}</b> lost{/if},
          <b>{percent(view.bare)}</b> bare
        </p>
        <p class="text-small">
          <span class:soft={view.once > 1.005}>×{view.once.toFixed(2)} {view.sharpness[0]}</span>,
          <span class:soft={view.twice > 1.005}>at 2x ×{view.twice.toFixed(2)} {view.sharpness[1]}</span>
        </p>
        {#if view.noticeable}<p class="soft text-small">the repeat can be noticed</p>{/if}
        {#if view.lost_parts.length > 0}<p class="soft text-small">
            loses {view.lost_parts.join(', ')}
          </p>{/if}
      </div>
    </li>
  {/each}
</ul>

<style>
  .row {
    display: grid;
    grid-template-columns: 112px minmax(0, 1fr);
    gap: 12px;
    align-items: center;
    padding: 6px 0;
    border-top: 1px solid var(--color-base-300);
    line-height: 1.35;
  }
  .cut {
    display: block;
    background-repeat: no-repeat;
  }
  .soft {
    color: var(--color-warning);
    font-weight: 600;
  }
</style>
