<script lang="ts">
  import type { Bench } from './bench.svelte';
  import ScreenFacts from './ScreenFacts.svelte';
  import ScreenFrame from './ScreenFrame.svelte';
  import ScreenReadings from './ScreenReadings.svelte';

  let { bench }: { bench: Bench } = $props();

  const GAP = 24;
  const LABEL = 22;
  /** A column is no narrower than its readings need, px. */
  const LEAST = 232;
  let width = $state(0);
  let height = $state(0);

  const shown = $derived(bench.screens.filter((s) => !bench.forward || s.id === bench.forward));
  const lines = $derived(Math.min(4, Math.max(1, bench.words.length)));
  const room = $derived(Math.max(120, height - LABEL - lines * 20 - 14));
  const lowest = $derived(Math.min(...shown.map((s) => s.height)));
  const scale = $derived.by(() => {
    const free = width - GAP * (shown.length - 1);
    const total = shown.reduce((sum, s) => sum + s.width, 0);
    const even = free / Math.max(1, total);
    const narrow = shown.filter((s) => s.width * even < LEAST);
    const rest = total - narrow.reduce((sum, s) => sum + s.width, 0);
    const wide = rest > 0 ? (free - LEAST * narrow.length) / rest : even;
    return Math.min(1, Math.max(0.1, wide));
  });
</script>

<section aria-label="Screens" class="min-h-0 flex-1 px-6" bind:clientHeight={height}>
  <div bind:clientWidth={width} class="flex" style:gap="{GAP}px">
    {#if width > 0 && height > 0}
      {#each shown as screen (screen.id)}
        <div class="min-w-0" style:width="{Math.max(LEAST, screen.width * scale)}px">
          <div class="head flex items-baseline gap-2 truncate" style:height="{LABEL}px">
            <h2 class="font-semibold">{screen.name}</h2>
            <span class="muted text-[12.5px]">{screen.width} × {screen.height}</span>
            <ScreenFacts {bench} {screen} />
            {#if bench.forward}
              <button type="button" class="act ml-auto cursor-pointer" onclick={() => (bench.forward = null)}
                >All screens</button
              >
            {/if}
          </div>
          <div style:width="{screen.width * scale}px">
            <ScreenFrame {bench} {screen} {scale} height={Math.min(room, lowest * scale)} />
          </div>
          <ScreenReadings {bench} {screen} most={lines} />
        </div>
      {/each}
    {/if}
  </div>
</section>

<style>
  .head {
    container-type: inline-size;
  }
</style>
