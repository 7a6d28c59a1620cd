<script lang="ts">
  /** The whole page mended: before and after, what was done for which words; kept as one step, or left. */
  import type { Mended } from '../api/types';
  import { useBench } from '../state/context';

  let { mended }: { mended: Mended } = $props();
  const { ways } = useBench();
</script>

<div class="flex min-h-0 flex-1 gap-5 pb-2.5">
  <figure>
    <img src={mended.before} alt="The page before" />
    <figcaption class="muted">before</figcaption>
  </figure>
  <figure>
    <img src={mended.after} alt="The page after" />
    <figcaption class="muted">after</figcaption>
  </figure>
  <div class="flex min-w-0 flex-1 flex-col gap-1.5">
    <p role="status" class="font-semibold">
      {#if mended.done.length === 0 && mended.left.length === 0}
        Every word can be read already.
      {:else if mended.left.length === 0}
        With this every word can be read in every situation. Hold B to see the page before.
      {:else}
        Nothing was found for {mended.left.map((words) => `'${words}'`).join(', ')}.
      {/if}
    </p>
    <ul class="min-h-0 overflow-y-auto text-small">
      {#each mended.done as { words, sentence, kept } (words)}
        <li class="py-0.5"><b>{words}</b>: {sentence} <span class="muted">Keeps {kept} %.</span></li>
      {/each}
    </ul>
    <div class="mt-auto flex gap-2">
      {#if mended.done.length > 0}
        <button
          type="button"
          class="btn btn-primary h-[30px] min-h-0 px-3"
          onclick={() => void ways.keepMended()}>Do this</button
        >
      {/if}
      <button type="button" class="quiet act" onclick={() => ways.leaveMended()}>Leave it as it is</button>
    </div>
  </div>
</div>

<style>
  figure {
    display: flex;
    flex-direction: column;
    min-height: 0;
    flex: none;
  }
  figure img {
    min-height: 0;
    flex: 1;
    max-width: 340px;
    object-fit: contain;
    object-position: left top;
  }
  figcaption {
    font-size: var(--text-small);
  }
</style>
