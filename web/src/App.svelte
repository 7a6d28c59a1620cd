<script lang="ts">
  import { onMount } from 'svelte';
  import BenchView from './bench/BenchView.svelte';
  import { Bench } from './bench/bench.svelte';
  import FramingView from './framing/FramingView.svelte';
  import InPlace from './inplace/InPlace.svelte';
  import { keyHandlers } from './keys';
  import Shortcuts from './parts/Shortcuts.svelte';
  import SchemesView from './schemes/SchemesView.svelte';
  import ShelfView from './shelf/ShelfView.svelte';
  import SituationsView from './situations/SituationsView.svelte';
  import TakeAway from './takeaway/TakeAway.svelte';
  import TopBar from './TopBar.svelte';
  import type { View } from './views';

  const bench = new Bench();
  let view = $state<View>('bench');
  let inPlace = $state(false);
  let help = $state(false);
  let dropping = $state(0);

  const keys = keyHandlers(bench, {
    inPlace: (on) => (inPlace = on ?? !inPlace),
    help: (on) => (help = on ?? !help),
    view: (next) => (view = next),
  });

  onMount(() => {
    void bench.start();
  });

  const carriesFiles = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false;

  function drop(event: DragEvent): void {
    if (!carriesFiles(event)) return;
    event.preventDefault();
    dropping = 0;
    if (view !== 'shelf') view = 'bench';
    void bench.uploads.bring([...(event.dataTransfer?.files ?? [])], view !== 'shelf');
  }
</script>

<svelte:window
  onkeydown={keys.down}
  onkeyup={keys.up}
  onblur={() => bench.release()}
  ondragenter={(e) => carriesFiles(e) && (dropping += 1)}
  ondragleave={(e) => carriesFiles(e) && (dropping = Math.max(0, dropping - 1))}
  ondragover={(e) => carriesFiles(e) && e.preventDefault()}
  ondrop={drop}
/>

<div class="flex h-screen flex-col">
  <TopBar
    {bench}
    {view}
    {help}
    go={(v) => (view = v)}
    enter={() => (inPlace = true)}
    toggleHelp={() => (help = !help)}
  />
  {#if bench.notice}
    <div
      class="notice"
      role={bench.notice.tone === 'short' ? 'alert' : 'status'}
      data-tone={bench.notice.tone}
    >
      <span>{bench.notice.text}</span>
      <button type="button" class="quiet act" onclick={() => (bench.notice = null)}>Close</button>
    </div>
  {/if}
  {#if !bench.state}
    <main class="muted p-6" aria-busy="true">Fetching the site …</main>
  {:else if view === 'bench'}
    <BenchView {bench} />
  {:else if view === 'framing'}
    <FramingView {bench} toShelf={() => (view = 'shelf')} />
  {:else if view === 'shelf'}
    <ShelfView {bench} toBench={() => (view = 'bench')} />
  {:else if view === 'situations'}
    <SituationsView {bench} toBench={() => (view = 'bench')} />
  {:else if view === 'schemes'}
    <SchemesView {bench} toBench={() => (view = 'bench')} />
  {:else}
    <TakeAway {bench} />
  {/if}
</div>

{#if help}
  <Shortcuts close={() => (help = false)} />
{/if}
{#if inPlace}
  <InPlace {bench} onkeydown={keys.down} onkeyup={keys.up} leave={() => (inPlace = false)} />
{/if}
{#if dropping > 0}
  <div class="veil">
    {view === 'shelf'
      ? 'Let go to put it on the shelf'
      : `Let go to put it behind ${bench.area?.name ?? 'the words'}`}
  </div>
{/if}

<style>
  .notice {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 16px;
    padding: 2px 24px;
    background: var(--color-base-100);
    border-bottom: 1px solid var(--color-base-300);
    border-left: 6px solid var(--color-info);
  }
  .notice[data-tone='short'] {
    border-left-color: var(--color-error);
    color: var(--color-error);
  }
  .veil {
    position: fixed;
    inset: 12px;
    z-index: 60;
    display: grid;
    place-items: center;
    pointer-events: none;
    font-size: 22px;
    font-weight: 600;
    color: var(--color-primary);
    background: color-mix(in oklab, var(--color-base-100) 82%, transparent);
    border: 3px dashed var(--color-primary);
  }
</style>
