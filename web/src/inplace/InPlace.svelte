<script lang="ts">
  /** The page alone, as a visitor meets it: at any width, scrolled, pointed at, slowly loading, before and after. */
  import { ofSite } from '../api/site';
  import * as client from '../api/client';
  import type { Live } from '../api/types';
  import NumberField from '../parts/NumberField.svelte';
  import { apply } from '../bench/frame';
  import { obeyStop } from '../bench/moving';
  import { useBench } from '../state/context';

  type Props = {
    onkeydown: (event: KeyboardEvent) => void;
    onkeyup: (event: KeyboardEvent) => void;
    leave: () => void;
  };
  let { onkeydown, onkeyup, leave }: Props = $props();
  const { doc, selection, sight } = useBench();

  const [LEAST, MOST] = [320, 2560];
  /** How long the pictures keep one waiting, ms. */
  const SLOW = 2600;
  let frame = $state<HTMLIFrameElement>();
  let bar = $state<HTMLElement>();
  let page = $state.raw<Document | null>(null);
  let hint = $state(true);
  let room = $state(0);
  /** The width the page is shown at; null: the window's. */
  let width = $state<number | null>(null);
  let waiting = $state.raw<Live | null>(null);
  /** The page as visitors meet it who ask that nothing move. */
  let still = $state.raw<Live | null>(null);
  let note = $state('');
  let timer: ReturnType<typeof setTimeout> | undefined;
  const scale = $derived(width && room ? Math.min(1, room / width) : 1);

  function loaded(): void {
    page = frame?.contentDocument ?? null;
    page?.addEventListener('keydown', keys);
    page?.addEventListener('keyup', onkeyup);
    if (page) obeyStop(page);
    // the page takes the keys, unless the bar has them already
    if (!bar?.contains(document.activeElement)) frame?.focus();
    setTimeout(() => (hint = false), 2500);
  }

  function keys(event: KeyboardEvent): void {
    if (event.key.toLowerCase() === 'l' && !event.ctrlKey && !event.metaKey) void loadSlowly();
    else onkeydown(event);
  }

  /** Show the page as it is before its pictures come: the base colours alone; then with them. */
  async function loadSlowly(): Promise<void> {
    clearTimeout(timer);
    note = '';
    try {
      const asked = { ...selection.asked, patch: doc.draft };
      waiting = await client.live(asked, false, `${doc.screens[0]?.id}:missing`);
      page?.defaultView?.scrollTo(0, 0);
      timer = setTimeout(() => (waiting = null), SLOW);
    } catch {
      note = 'There is no picture here to wait for.';
      timer = setTimeout(() => (note = ''), SLOW);
    }
  }

  $effect(() => {
    const shown = waiting ?? still ?? sight.live;
    if (page && shown) apply(page, shown);
  });

  async function lessMotion(): Promise<void> {
    if (still) return void (still = null);
    try {
      still = await client.live({ ...selection.asked, patch: doc.draft }, false, null, true);
    } catch {
      note = 'It cannot be shown just now.';
      timer = setTimeout(() => (note = ''), SLOW);
    }
  }

  $effect(() => {
    // what was undone or changed meanwhile is shown as it is now
    if (doc.revision) still = null;
  });

  $effect(() => () => clearTimeout(timer));
</script>

<div class="fixed inset-0 z-40 bg-base-200" bind:clientWidth={room}>
  <iframe
    sandbox="allow-same-origin allow-scripts"
    bind:this={frame}
    onload={loaded}
    title="{selection.page?.title}, in place"
    src={ofSite(`/live/${selection.page?.id}`)}
    style:width={width ? `${width}px` : '100%'}
    style:height={scale < 1 ? `${100 / scale}%` : '100%'}
    style:transform={scale < 1 ? `scale(${scale})` : undefined}
    style:margin-left={width && scale === 1 ? `${Math.max(0, (room - width) / 2)}px` : '0'}
  ></iframe>
  <div class="bar" bind:this={bar} class:faded={!hint && !waiting && !note}>
    {#if waiting}<span role="status">The pictures are on their way …</span>{/if}
    {#if note}<span role="status">{note}</span>{/if}
    <span class="flex items-center gap-1.5">
      Width
      <NumberField
        label="Width of the page, px"
        hideLabel
        width="86px"
        value={width ?? room}
        unit="px"
        least={LEAST}
        most={MOST}
        step={10}
        show={(px) => (width = Math.round(px))}
        keep={(px) => {
          width = Math.round(px);
        }}
      />
    </span>
    <input
      type="range"
      class="w-40"
      aria-label="Width of the page"
      min={LEAST}
      max={MOST}
      value={width ?? room}
      oninput={(e) => (width = Number(e.currentTarget.value))}
    />
    <button
      type="button"
      class="quiet"
      aria-pressed={sight.holding}
      title="Hold to see the state before (B)"
      onpointerdown={() => void sight.hold()}
      onpointerup={() => sight.release()}
      onpointerleave={() => sight.release()}>Before</button
    >
    <button
      type="button"
      class="quiet"
      title="The base colours alone, then the pictures (L)"
      onclick={() => void loadSlowly()}>Load slowly</button
    >
    <button
      type="button"
      class="quiet"
      aria-pressed={still !== null}
      title="As visitors meet it who ask that nothing move"
      onclick={() => void lessMotion()}>Less motion</button
    >
    <button type="button" class="quiet act" onclick={leave}>Back to the bench (V)</button>
  </div>
</div>
<svelte:window
  onkeydown={(e) => e.key.toLowerCase() === 'l' && e.target === document.body && void loadSlowly()}
/>

<style>
  iframe {
    border: 0;
    background: white;
    transform-origin: 0 0;
  }
  .bar {
    position: absolute;
    right: min(24px, 2vw);
    bottom: 16px;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: flex-end;
    gap: 4px 10px;
    max-width: 96vw;
    white-space: nowrap;
    padding: 4px 12px;
    border-radius: var(--radius-field);
    background: var(--color-base-100);
    color: var(--color-base-content);
    border: 1px solid var(--color-base-300);
    transition: opacity 0.3s;
  }
  .faded:not(:hover, :focus-within) {
    opacity: 0;
  }
</style>
