<script lang="ts">
  import { onMount } from 'svelte';
  import BenchView from './bench/BenchView.svelte';
  import { keepFocus } from './frame/focus';
  import Waiting from './frame/Waiting.svelte';
  import Notice from './frame/Notice.svelte';
  import TopBar from './frame/TopBar.svelte';
  import UnderWay from './frame/UnderWay.svelte';
  import { keyHandlers } from './keys';
  import { keepAddress } from './state/history.svelte';
  import { listen } from './state/live';
  import { followFonts, makeBench, start } from './state/bench';
  import { isText } from './state/bringing.svelte';
  import { isFont } from './state/fonts';
  import { giveBench } from './state/context';

  const bench = makeBench();
  giveBench(bench);
  const { doc, place, selection, sight, uploads, edits, bringing, beginning } = bench;
  const keys = keyHandlers(bench);
  let dropping = $state(0);
  let failed = $state(false);

  /** Views that are not the bench are fetched when they are first looked at. */
  const VIEWS = {
    sites: () => import('./sites/SitesView.svelte'),
    pages: () => import('./pages/PagesView.svelte'),
    calendar: () => import('./calendar/CalendarView.svelte'),
    framing: () => import('./framing/FramingView.svelte'),
    shelf: () => import('./shelf/ShelfView.svelte'),
    situations: () => import('./situations/SituationsView.svelte'),
    bring: () => import('./bring/BringView.svelte'),
    schemes: () => import('./schemes/SchemesView.svelte'),
    release: () => import('./release/ReleaseView.svelte'),
    take: () => import('./takeaway/TakeAway.svelte'),
  };

  async function begin(): Promise<void> {
    failed = false;
    failed = !(await start(bench));
    if (failed) return;
    keepAddress(bench);
    ends.push(listen(bench));
  }

  $effect(() => {
    void followFonts(doc);
  });

  let frame = $state<HTMLElement>();
  const ends: (() => void)[] = [];

  onMount(() => {
    ends.push(keepFocus(frame ?? document.body));
    void begin();
    return () => ends.forEach((end) => end());
  });

  const carriesFiles = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false;

  function drop(event: DragEvent): void {
    if (!carriesFiles(event)) return;
    event.preventDefault();
    dropping = 0;
    const files = [...(event.dataTransfer?.files ?? [])];
    const read = place.view === 'bring' && bringing.found !== null;
    if (read || files.some((file) => isText(file.name))) {
      place.go('bring');
      void bringing.files(files);
      return;
    }
    if (files.length > 0 && files.every((file) => isFont(file.name))) {
      place.go('shelf');
      place.turn('fonts');
      void uploads.bring(files, false);
      return;
    }
    if (beginning.fresh && place.view === 'bench') {
      void beginning.take(files);
      return;
    }
    if (place.view !== 'shelf') place.go('bench');
    void uploads.bring(files, place.view !== 'shelf');
  }
</script>

<svelte:window
  onkeydown={keys.down}
  onkeyup={keys.up}
  onblur={() => sight.release()}
  onpagehide={() => void edits.settle()}
  ondragenter={(e) => carriesFiles(e) && (dropping += 1)}
  ondragleave={(e) => carriesFiles(e) && (dropping = Math.max(0, dropping - 1))}
  ondragover={(e) => carriesFiles(e) && e.preventDefault()}
  ondrop={drop}
/>

<div class="frame" bind:this={frame}>
  <TopBar />
  <Notice />
  <UnderWay />
  {#if !doc.state}
    <Waiting {failed} again={() => void begin()} />
  {:else if place.view === 'bench'}
    <BenchView />
  {:else}
    {#await VIEWS[place.view]()}
      <main class="muted p-6" aria-busy="true">Fetching this view …</main>
    {:then { default: View }}
      <View />
    {:catch}
      <Waiting failed again={() => location.reload()} />
    {/await}
  {/if}
</div>

{#if place.panel === 'in-place' && doc.state}
  {#await import('./inplace/InPlace.svelte') then { default: InPlace }}
    <InPlace onkeydown={keys.down} onkeyup={keys.up} leave={() => place.close('in-place')} />
  {/await}
{/if}
{#if dropping > 0}
  <div class="veil">
    {place.view === 'bring'
      ? 'Let go to read it'
      : place.view === 'shelf'
        ? 'Let go to put it on the shelf'
        : `Let go to put it behind ${selection.area?.name ?? 'the words'}`}
  </div>
{/if}

<style>
  .frame {
    position: fixed;
    inset: 0;
    display: flex;
    flex-direction: column;
    overflow: clip;
    container: frame / size;
  }
  .veil {
    position: fixed;
    inset: 12px;
    z-index: 60;
    display: grid;
    place-items: center;
    pointer-events: none;
    font-size: var(--text-sign);
    font-weight: 600;
    color: var(--color-primary);
    background: color-mix(in oklab, var(--color-base-100) 82%, transparent);
    border: 3px dashed var(--color-primary);
  }
</style>
