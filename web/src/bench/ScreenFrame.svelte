<script lang="ts">
  import type { Screen } from '../api/types';
  import type { Bench } from './bench.svelte';
  import { apply, clicked, mark } from './frame';

  type Props = { bench: Bench; screen: Screen; scale: number; height: number };
  let { bench, screen, scale, height }: Props = $props();

  let frame = $state<HTMLIFrameElement>();
  let page = $state.raw<Document | null>(null);
  let outline = $state<{ top: number; height: number } | null>(null);
  const here = $derived(bench.short.filter((r) => r.screen === screen.id && !r.missing));

  function loaded(): void {
    const inner = frame?.contentDocument ?? null;
    if (!inner?.body.classList.contains('gf-page')) {
      inner?.body.replaceChildren();
      return;
    }
    page = inner;
    inner.addEventListener('click', (event) => {
      event.preventDefault();
      const bands = bench.bands;
      const blocks = new Set(
        bands.flatMap((b) => (b.columns ?? []).flatMap((c) => (c.blocks ?? []).map((w) => w.id))),
      );
      const found = clicked(
        event.target,
        bands.map((b) => b.id),
        blocks,
      );
      if (found) bench.chooseClicked(...found);
    });
    for (const name of ['keydown', 'keyup'])
      inner.addEventListener(name, (event) =>
        window.dispatchEvent(new KeyboardEvent(name, event as KeyboardEvent)),
      );
  }

  $effect(() => {
    if (page && bench.live) apply(page, bench.live);
  });

  $effect(() => {
    if (page) mark(page, bench.marked && !bench.holding ? here : [], scale);
  });

  $effect(() => {
    if (!page || bench.flash === 0) return;
    const area = page.querySelector(`.gf-${bench.band?.id}`)?.getBoundingClientRect();
    if (!area) return;
    outline = { top: area.top * scale, height: area.height * scale };
    const timer = setTimeout(() => (outline = null), 1400);
    return () => clearTimeout(timer);
  });
</script>

<div class="frame" style:height="{height}px">
  <iframe
    bind:this={frame}
    onload={loaded}
    title="{bench.page?.title} on {screen.name.toLowerCase()}"
    src="/live/{bench.page?.id}"
    style:width="{screen.width}px"
    style:height="{screen.height}px"
    style:transform="scale({scale})"
  ></iframe>
  {#if outline}
    <div class="outline-mark" style:top="{outline.top}px" style:height="{outline.height}px"></div>
  {/if}
</div>

<style>
  .frame {
    position: relative;
    overflow: hidden;
    background: var(--color-base-100);
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 26%, transparent);
  }
  iframe {
    border: 0;
    transform-origin: 0 0;
    background: white;
  }
  .outline-mark {
    position: absolute;
    left: 0;
    right: 0;
    border: 3px solid var(--color-primary);
    box-shadow: inset 0 0 0 1px white;
    pointer-events: none;
  }
</style>
