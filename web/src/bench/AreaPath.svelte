<script lang="ts">
  import type { Bench } from './bench.svelte';

  import { addColour } from '../buildup/layers';

  let { bench }: { bench: Bench } = $props();

  const verdict = $derived.by(() => {
    const short = bench.short;
    if (bench.readings.length === 0) return { text: '', short: false };
    if (short.length === 0) return { text: 'Every word can be read on every screen.', short: false };
    const blocks = new Set(short.map((r) => r.block)).size;
    const names = bench.screens
      .filter((s) => short.some((r) => r.screen === s.id))
      .map((s) => s.name.toLowerCase());
    const where =
      names.length === bench.screens.length ? 'on every screen' : `on the ${names.join(' and the ')}`;
    const what = blocks === 1 ? 'One block of words falls' : `${blocks} blocks of words fall`;
    return { text: `${what} short ${where}.`, short: true };
  });

  /** Go to the topmost overlay of the first band that falls short; lay one in where there is none. */
  function mend(): void {
    const band = bench.bands.find((b) =>
      (b.columns ?? []).some((c) => (c.blocks ?? []).some((w) => bench.short.some((r) => r.block === w.id))),
    );
    if (!band) return;
    bench.chooseBand(band.id);
    const overlay = bench.layers.findLast((l) => l.kind === 'colour' && l.visible !== false);
    if (overlay) bench.chooseCard(overlay.id);
    else void addColour(bench, bench.layers.length);
  }
</script>

<div class="flex h-9 shrink-0 items-center justify-between gap-4 px-6">
  <nav aria-label="Area" class="flex items-center">
    <span class="muted pr-1">{bench.page?.title}</span>
    {#each bench.bands as band (band.id)}
      <span class="text-base-300" aria-hidden="true">/</span>
      <button
        type="button"
        class="quiet"
        class:chosen={band.id === bench.band?.id}
        aria-pressed={band.id === bench.band?.id}
        onclick={() => bench.chooseBand(band.id)}>{band.name}</button
      >
    {/each}
  </nav>
  <div class="flex min-w-0 items-center gap-1">
    <p
      class="truncate font-semibold"
      role="status"
      class:text-warning={verdict.short}
      class:text-success={!verdict.short}
    >
      {verdict.text}
    </p>
    {#if verdict.short}
      <button type="button" class="quiet act" title="Go to the overlay that puts it right" onclick={mend}
        >Mend it</button
      >
    {/if}
  </div>
</div>

<style>
  .chosen {
    font-weight: 700;
  }
</style>
