<script lang="ts">
  /** The screens beside each other at one scale, as many as there is room for; the others are tabs. */
  import type { Screen } from '../api/types';
  import { useBench } from '../state/context';
  import ScreenFacts from './ScreenFacts.svelte';
  import ScreenFrame from './ScreenFrame.svelte';
  import ScreenReadings from './ScreenReadings.svelte';
  import Verdict from '../parts/Verdict.svelte';
  import { layout } from './layout';

  /** `room`: how high screens and readings may be together, px. */
  let { most, drawer, room }: { most: number; drawer: boolean; room: number } = $props();
  const { doc, findings, selection, sight } = useBench();

  const LABEL = 26;
  const LINE = 20;
  let width = $state(0);

  const shown = $derived(sight.seen(most));
  const tabs = $derived(doc.screens.length > shown.length && !sight.forward);
  const lines = $derived(drawer ? 2 : Math.min(4, Math.max(1, selection.words.length)));
  const places = $derived(
    layout({
      screens: shown,
      width,
      height: room - LABEL - (tabs ? 30 : 0) - 10,
      readings: lines * LINE + 8,
    }),
  );
  const said = (screen: Screen) => `${screen.width} × ${screen.height}`;
</script>

<section aria-label="Screens" class="screens">
  {#if tabs}
    <div class="tabs" role="group" aria-label="Which screen is shown">
      {#each doc.screens as screen (screen.id)}
        <button
          type="button"
          class="quiet screen-tab"
          aria-pressed={shown.some((s) => s.id === screen.id)}
          onclick={() => sight.look(screen.id)}
          >{#if findings.short.some((r) => r.screen === screen.id)}<Verdict
              says="short"
            />{/if}{screen.name}</button
        >
      {/each}
    </div>
  {/if}
  <div bind:clientWidth={width} class="row" style:gap="{places.gap}px">
    {#if width > 0 && room > 0}
      {#each shown as screen (screen.id)}
        <div class="min-w-0 shrink-0" style:width="{places.column(screen)}px">
          <div class="head" style:height="{LABEL}px">
            <h2 class="font-semibold">{screen.name}</h2>
            <span class="muted text-small">{said(screen)}</span>
            <ScreenFacts {screen} />
            {#if sight.forward}
              <button type="button" class="quiet act" onclick={() => sight.bring(null)}>All screens</button>
            {:else if shown.length > 1}
              <button
                type="button"
                class="quiet forward"
                title="Bring the {screen.name} forward ({doc.screens.indexOf(screen) + 1})"
                aria-label="Bring the {screen.name} forward"
                onclick={() => sight.bring(screen.id)}>⤢</button
              >
            {/if}
          </div>
          <div class="body" class:beside={places.beside}>
            <div style:width="{screen.width * places.scale}px" class="shrink-0">
              <ScreenFrame {screen} scale={places.scale} height={places.height} />
            </div>
            <ScreenReadings {screen} most={places.beside ? Math.floor(places.height / LINE) : lines} />
          </div>
        </div>
      {/each}
    {/if}
  </div>
</section>

<style>
  .screens {
    flex: none;
    padding: 0 24px 10px;
    overflow: clip;
  }
  @container bench (max-width: 819px) {
    .screens {
      padding: 0 16px 6px;
    }
  }
  .tabs {
    display: flex;
    height: 30px;
    margin-left: -8px;
  }
  .screen-tab {
    display: flex;
    align-items: center;
    gap: 5px;
  }
  .screen-tab[aria-pressed='true'] {
    font-weight: 600;
    box-shadow: inset 0 -2px var(--color-primary);
  }
  .row {
    display: flex;
  }
  .head {
    display: flex;
    align-items: center;
    gap: 8px;
    white-space: nowrap;
    overflow: hidden;
    container-type: inline-size;
  }
  .head :global(.quiet) {
    min-height: 24px;
    padding: 0 6px;
  }
  .forward {
    margin-left: auto;
  }
  .body.beside {
    display: flex;
    gap: 16px;
  }
  .body.beside > :global(:last-child) {
    flex: 1;
    min-width: 0;
    margin-top: 0;
  }
</style>
