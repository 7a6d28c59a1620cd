<script lang="ts">
  /** Light or dark surroundings; kept on this machine. */
  import { onMount } from 'svelte';

  const LIGHT = 'garnetfern';
  const DUSK = 'garnetfern-dusk';
  let theme = $state(LIGHT);

  onMount(() => {
    const dark = window.matchMedia('(prefers-color-scheme: dark)').matches;
    set(window.localStorage.getItem('theme') ?? (dark ? DUSK : LIGHT));
  });

  function set(next: string): void {
    theme = next;
    document.documentElement.dataset.theme = next;
  }

  function turn(): void {
    set(theme === DUSK ? LIGHT : DUSK);
    window.localStorage.setItem('theme', theme);
  }
</script>

<button
  type="button"
  class="quiet"
  title="Light or dark surroundings; the pages stay as they are"
  onclick={turn}>{theme === DUSK ? 'Light' : 'Dark'}</button
>
