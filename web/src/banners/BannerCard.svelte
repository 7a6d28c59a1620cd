<script lang="ts">
  /** One whole banner as three screens show it. Resting on it shows it on the true screens; by touch it stays there until
   *  another is tapped. */
  import type { Banner } from '../api/types';
  import { useBench } from '../state/context';

  /** `number`: its place among those by one idea; 0 where each is by another. */
  let { banner, number }: { banner: Banner; number: number } = $props();
  const { banners } = useBench();
  /** How wide all its pictures are, side by side, for each px of their height. */
  const wide = $derived(banner.shown.reduce((sum, { width, height }) => sum + width / height, 0));
  const titled = $derived(number > 0 ? `${banner.title}, ${number}` : banner.title);
</script>

<article
  class="whole"
  aria-label={titled}
  onpointerenter={() => banners.try(banner)}
  onpointerleave={(event) => event.pointerType !== 'touch' && banners.leave()}
  onfocusin={() => banners.try(banner)}
  onfocusout={() => banners.leave()}
>
  <div class="screens" style:--wide={wide}>
    {#each banner.shown as screen (screen.screen)}
      <img
        src={screen.picture}
        alt="{titled} on the {screen.name.toLowerCase()}"
        width={screen.width}
        height={screen.height}
        draggable="false"
      />
    {/each}
  </div>
  <div class="beside">
    <h3 class="leading-tight font-semibold" title={banner.sentence}>{titled}</h3>
    <button
      type="button"
      class="take"
      aria-label="Take it: {titled}"
      title="Put it in the place of the present one, as one step"
      onclick={() => void banners.take(banner)}>Take it</button
    >
    {#if number === 0}
      <button
        type="button"
        class="quiet act more"
        aria-label="More like this: {titled}"
        title="A few others by the same idea"
        onclick={() => void banners.make(banner)}>More like this</button
      >
    {/if}
  </div>
</article>

<style>
  .whole {
    display: flex;
    gap: 6px;
    height: var(--banner-high);
  }
  @container bench (max-width: 559px) {
    .whole {
      flex-direction: column;
      height: auto;
    }
  }
  /* as wide for every banner, so that they stand in columns, and as high as that lets them be */
  .screens {
    display: flex;
    gap: 6px;
    align-items: flex-start;
    width: var(--banner-wide);
  }
  .screens img {
    width: auto;
    height: min(var(--banner-high), (var(--banner-wide) - 12px) / var(--wide));
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 26%, transparent);
  }
  .beside {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 2px;
    width: 124px;
    padding-left: 6px;
  }
  .take {
    min-height: 26px;
    padding: 0 12px;
    margin-top: auto;
    font-weight: 600;
    color: var(--color-primary);
    border: 1px solid currentColor;
    border-radius: 4px;
    cursor: pointer;
  }
  .whole:hover .take,
  .whole:focus-within .take {
    color: var(--color-primary-content);
    background: var(--color-primary);
    border-color: var(--color-primary);
  }
  @container bench (max-width: 559px) {
    .beside {
      flex-direction: row;
      gap: 12px;
      align-items: center;
      width: auto;
      padding-left: 0;
    }
    .take {
      margin: 0 0 0 auto;
    }
  }
  .beside .more {
    min-height: 24px;
    padding-inline: 0;
    white-space: nowrap;
  }
</style>
