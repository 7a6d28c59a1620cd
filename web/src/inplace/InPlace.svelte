<script lang="ts">
  /** The page alone, as a visitor sees it in this window. */
  import type { Bench } from '../bench/bench.svelte';
  import { apply } from '../bench/frame';

  type Props = {
    bench: Bench;
    onkeydown: (event: KeyboardEvent) => void;
    onkeyup: (event: KeyboardEvent) => void;
    leave: () => void;
  };
  let { bench, onkeydown, onkeyup, leave }: Props = $props();

  let frame = $state<HTMLIFrameElement>();
  let page = $state.raw<Document | null>(null);
  let hint = $state(true);

  function loaded(): void {
    page = frame?.contentDocument ?? null;
    page?.addEventListener('keydown', onkeydown);
    page?.addEventListener('keyup', onkeyup);
    frame?.focus();
    setTimeout(() => (hint = false), 2500);
  }

  $effect(() => {
    if (page && bench.live) apply(page, bench.live);
  });
</script>

<div class="fixed inset-0 z-40 bg-base-200">
  <iframe
    bind:this={frame}
    onload={loaded}
    title="{bench.page?.title}, in place"
    src="/live/{bench.page?.id}"
    class="h-full w-full border-0 bg-white"
  ></iframe>
  <button type="button" class="hint" class:faded={!hint} onclick={leave}>Back to the bench (V)</button>
</div>

<style>
  .hint {
    position: absolute;
    right: 24px;
    bottom: 16px;
    padding: 6px 12px;
    border-radius: 3px;
    background: var(--color-base-100);
    color: var(--color-base-content);
    border: 1px solid var(--color-base-300);
    transition: opacity 0.3s;
    cursor: pointer;
  }
  .faded:not(:hover, :focus-visible) {
    opacity: 0;
  }
</style>
