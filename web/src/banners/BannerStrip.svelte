<script lang="ts">
  /** Whole banners of one band, in the place of the build-up: the screens stay in sight. */
  import { untrack } from 'svelte';
  import BannerCard from './BannerCard.svelte';
  import { useBench } from '../state/context';

  /** How high it is at least, px. */
  let { least }: { least: number } = $props();
  const { banners, doc } = useBench();

  const making = $derived(banners.share < 1);
  const revision = $derived(doc.state?.revision);
  const id = $derived(banners.band?.id);

  $effect(() => {
    // made once for a state of the site and this band
    if (revision !== undefined && id) void untrack(() => banners.make());
  });
</script>

<section aria-labelledby="whole-banners" class="banners" style:min-height="{least}px" aria-busy={making}>
  <div class="flex flex-wrap items-center gap-x-4 whitespace-nowrap">
    <h2 id="whole-banners" class="display-face text-title">
      {#if banners.like}More like “{banners.like.title}”{:else}Whole banners{/if}
    </h2>
    {#if banners.band}<span class="muted truncate">of {banners.band.name}</span>{/if}
    <div class="ml-auto flex items-center gap-1">
      {#if making}
        <progress
          class="progress progress-primary w-24"
          max="1"
          value={banners.share}
          aria-label="How far the banners are"
        ></progress>
        <button type="button" class="quiet" onclick={() => banners.stop()}>Stop</button>
      {/if}
      {#if banners.like}
        <button type="button" class="quiet act" onclick={() => void banners.make()}>All ideas again</button>
      {/if}
      <button type="button" class="quiet" title="Back to the build-up (W)" onclick={() => banners.close()}
        >Close</button
      >
    </div>
  </div>
  <p
    role="status"
    class="said clamped steady"
    class:text-warning={banners.problem !== ''}
    title={banners.tried?.sentence ?? banners.problem}
  >
    {#if banners.problem}
      {banners.problem}
    {:else if !banners.band}
      Choose a band with a picture and words above; then whole banners can be made of it.
    {:else if banners.found.length === 0 && making}
      <span class="muted">Making whole banners of this picture, these words and the palette …</span>
    {:else if banners.found.length === 0}
      No banner could be made of it; nothing was changed.
    {:else if banners.like && !making && banners.found.length === 1}
      Nothing else comes of this idea here.
    {:else if banners.tried}
      {banners.tried.sentence}
    {:else}
      Each can be read in every situation. Rest on one to see it on the screens.
    {/if}
  </p>
  <ol class="all">
    {#each banners.found as banner, n (`${banner.idea} ${banner.number}`)}
      <li><BannerCard {banner} number={banners.like ? n + 1 : 0} /></li>
    {/each}
    {#if !making && banners.without.length > 0}
      <li class="without">
        <h3 class="font-semibold">Left out</h3>
        <ul>
          {#each banners.without as { title, reason } (title)}
            <li><b>{title}</b>: {reason}</li>
          {/each}
        </ul>
      </li>
    {/if}
  </ol>
</section>

<style>
  .banners {
    display: flex;
    flex: 1;
    flex-direction: column;
    gap: 6px;
    min-width: 0;
    padding: 8px 24px 0;
    overflow: auto;
    border-top: 1px solid var(--color-base-300);
    background: var(--color-base-100);
  }
  @container bench (max-width: 819px) {
    .said {
      --lines: 2;
    }
  }
  /* two rows, so that as many as can be are in sight */
  .all {
    --banner-high: 88px;
    --banner-wide: 372px;
    display: grid;
    flex: 1;
    grid-template-rows: repeat(2, var(--banner-high));
    grid-auto-flow: column;
    grid-auto-columns: max-content;
    align-content: start;
    gap: 14px 28px;
    min-height: 202px;
    padding: 1px 1px 10px;
    overflow: auto hidden;
  }
  /* two whole columns, where a third would be out of sight */
  @container bench (max-width: 1080px) and (min-aspect-ratio: 9/10) {
    .all {
      --banner-wide: calc((100cqw - 76px) / 2 - 136px);
    }
  }
  @container bench (min-height: 900px) {
    .all {
      --banner-high: 122px;
      --banner-wide: 470px;
    }
  }
  /* in a window that stands upright they go on downwards */
  @container bench (max-aspect-ratio: 9/10) {
    .all {
      grid-template: none / repeat(auto-fill, minmax(min(100%, var(--banner-wide) + 136px), 1fr));
      grid-auto-rows: auto;
      grid-auto-flow: row;
      overflow: hidden auto;
    }
  }
  /* by one hand: the screens take the whole width, their words stand beneath */
  @container bench (max-width: 559px) {
    .all {
      --banner-wide: calc(100cqw - 50px);
    }
  }
  .all .without {
    grid-row: span 2;
    width: min(320px, 100cqw - 50px);
    overflow-y: auto;
    font-size: var(--text-small);
    line-height: 1.35;
  }
</style>
