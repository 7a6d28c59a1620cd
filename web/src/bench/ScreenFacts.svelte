<script lang="ts">
  /** What the chosen picture, or the chosen area, comes to on a screen: always in sight above it. */
  import type { Screen } from '../api/types';
  import { useBench } from '../state/context';

  let { screen }: { screen: Screen } = $props();
  const { findings, selection } = useBench();

  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const view = $derived(
    selection.framed && findings.framing?.layer === selection.framed.id
      ? findings.framing.screens.find((s) => s.screen === screen.id)
      : undefined,
  );
  const area = $derived(findings.areaOn(screen.id));
  const tiles = $derived(view ? view.tiles[0] > 1.01 || view.tiles[1] > 1.01 : false);
</script>

{#if view}
  <span
    class="facts"
    title="Magnified {view.once.toFixed(2)} times: {view
      .sharpness[0]}. On a screen of twice the density {view.twice.toFixed(2)} times: {view.sharpness[1]}."
  >
    {#if tiles}{view.tiles[0].toFixed(1)} × {view.tiles[1].toFixed(1)} tiles{:else}<b>{percent(view.lost)}</b> lost{/if}{#if view.bare > 0.005},
      <b>{percent(view.bare)}</b> bare{/if}, <b class:soft={view.once > 1.005}>×{view.once.toFixed(2)}</b>
    <span class="twice" class:soft={view.twice > 1.005}>(2x ×{view.twice.toFixed(2)})</span>
    {#if view.lost_parts.length > 0}<b class="soft">loses {view.lost_parts.join(', ')}</b>{/if}
  </span>
{:else if area && (area.visible < 0.995 || !area.box)}
  <span class="facts" class:soft={!area.box || area.visible < 0.0005} title={area.sentence}
    >{area.box ? `${percent(area.visible)} of it to be seen` : area.sentence}</span
  >
{/if}

<style>
  .facts {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    margin-left: auto;
    font-size: var(--text-small);
  }
  @container (max-width: 300px) {
    .twice {
      display: none;
    }
  }
  .soft {
    color: var(--color-warning);
  }
</style>
