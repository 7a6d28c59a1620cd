<script lang="ts">
  import { onMount } from 'svelte';
  import type { Bench } from './bench/bench.svelte';
  import ScreensMenu from './parts/ScreensMenu.svelte';
  import { VIEWS, type View } from './views';

  type Props = {
    bench: Bench;
    view: View;
    help: boolean;
    go: (view: View) => void;
    enter: () => void;
    toggleHelp: () => void;
  };
  let { bench, view, help, go, enter, toggleHelp }: Props = $props();

  const DUSK = 'garnetfern-dusk';
  let theme = $state('garnetfern');
  const kept = $derived(
    bench.state
      ? new Date(bench.state.kept).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
      : '',
  );

  onMount(() => {
    const dark = window.matchMedia('(prefers-color-scheme: dark)').matches;
    setTheme(window.localStorage.getItem('theme') ?? (dark ? DUSK : 'garnetfern'));
  });

  function setTheme(next: string): void {
    theme = next;
    document.documentElement.dataset.theme = next;
  }

  function turn(): void {
    setTheme(theme === DUSK ? 'garnetfern' : DUSK);
    window.localStorage.setItem('theme', theme);
  }
</script>

<header
  class="flex h-11 shrink-0 items-center gap-5 whitespace-nowrap max-[1120px]:gap-2 border-b border-base-300 px-6"
>
  <h1 class="display-face text-[19px] text-primary">Garnetfern</h1>
  <nav class="flex h-full" aria-label="Views">
    {#each VIEWS as { id, name } (id)}
      <button
        type="button"
        class="view"
        aria-current={view === id ? 'page' : undefined}
        onclick={() => go(id)}
      >
        {name}
      </button>
    {/each}
  </nav>
  <div class="ml-auto flex items-center gap-1">
    <button
      type="button"
      class="quiet"
      disabled={!bench.state?.undo}
      title={bench.state?.undo ? `Undo: ${bench.state.undo} (Ctrl Z)` : 'Nothing to undo'}
      onclick={() => void bench.move('undo')}>Undo</button
    >
    <button
      type="button"
      class="quiet"
      disabled={!bench.state?.redo}
      title={bench.state?.redo ? `Redo: ${bench.state.redo} (Ctrl Shift Z)` : 'Nothing to redo'}
      onclick={() => void bench.move('redo')}>Redo</button
    >
    <button
      type="button"
      class="quiet"
      aria-pressed={bench.holding}
      disabled={!bench.state?.undo}
      title="Hold to see the state before (B)"
      onpointerdown={() => void bench.hold()}
      onpointerup={() => bench.release()}
      onpointerleave={() => bench.release()}>Before</button
    >
    <span class="muted px-2 max-[1120px]:hidden" role="status">{kept ? `Kept ${kept}` : ''}</span>
    <ScreensMenu {bench} />
    <button type="button" class="quiet" onclick={turn}>{theme === DUSK ? 'Light' : 'Dark'}</button>
    <button type="button" class="quiet" aria-expanded={help} title="Keys (?)" onclick={toggleHelp}
      >Keys</button
    >
    <button
      type="button"
      class="btn btn-primary ml-2 h-[30px] min-h-0 px-3.5"
      title="The page alone (V)"
      onclick={enter}>In place</button
    >
  </div>
</header>

<style>
  .view {
    padding: 0 11px;
    border-bottom: 2px solid transparent;
    border-top: 2px solid transparent;
    cursor: pointer;
  }
  @media (max-width: 1120px) {
    .view {
      padding: 0 7px;
    }
  }
  .view[aria-current] {
    border-bottom-color: var(--color-primary);
    font-weight: 600;
  }
</style>
