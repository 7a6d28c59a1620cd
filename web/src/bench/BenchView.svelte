<script lang="ts">
  /** The page on every screen, its readings, and the build-up of the chosen area with its settings beneath. */
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import ChevronUp from '@lucide/svelte/icons/chevron-up';
  import BannerStrip from '../banners/BannerStrip.svelte';
  import Begin from '../begin/Begin.svelte';
  import BuildUpStrip from '../buildup/BuildUpStrip.svelte';
  import RemedyStrip from '../remedies/RemedyStrip.svelte';
  import Settings from '../settings/Settings.svelte';
  import { arrangementOf } from '../state/arrangement';
  import { useBench } from '../state/context';
  import AreaPath from './AreaPath.svelte';
  import Screens from './Screens.svelte';

  const { banners, beginning, ways } = useBench();
  /** In a window as high as this the drawer is open from the start, px. */
  const ROOMY = 680;

  let width = $state(0);
  let height = $state(0);
  /** What stands above the screens, px. */
  let above = $state(0);
  /** What the drawer shows, where there is one. */
  let asked = $state<'build-up' | 'settings' | null | undefined>();
  const drawn = $derived(asked === undefined ? (height > ROOMY ? 'build-up' : null) : asked);
  const arrangement = $derived(arrangementOf(width, height + 44));
  /** The least height of what stands beneath the screens, px. */
  const least = $derived(Math.round(Math.min(420, Math.max(272, height * 0.35))));
  const under = $derived(
    !arrangement.drawer || ways.open || banners.open || beginning.fresh
      ? least
      : drawn
        ? Math.max(190, height * 0.46)
        : 36,
  );
  const DRAWERS = [
    { id: 'build-up', name: 'Build-up' },
    { id: 'settings', name: 'Settings' },
  ] as const;
</script>

<main class="bench" bind:clientWidth={width} bind:clientHeight={height}>
  {#if width > 0}
    <div class="above" bind:clientHeight={above}>
      {#if arrangement.cramped}
        <p class="cramped">
          This window is narrower than the bench is made for ({width} of 640 px). Everything is here, one thing
          at a time.
        </p>
      {/if}
      <AreaPath />
    </div>
    <Screens most={arrangement.screens} drawer={arrangement.drawer} room={height - above - under} />
    {#if ways.open}
      <RemedyStrip {least} />
    {:else if banners.open}
      <BannerStrip {least} />
    {:else if beginning.fresh}
      <Begin {least} />
    {:else if arrangement.drawer}
      <div class="drawer" class:open={drawn !== null}>
        <div class="handles" role="group" aria-label="Drawer">
          {#each DRAWERS as { id, name } (id)}
            <button
              type="button"
              class="handle"
              aria-expanded={drawn === id}
              onclick={() => (asked = drawn === id ? null : id)}
              >{name}
              {#if drawn === id}<ChevronDown size={15} aria-hidden="true" />{:else}<ChevronUp
                  size={15}
                  aria-hidden="true"
                />{/if}</button
            >
          {/each}
        </div>
        {#if drawn === 'build-up'}<BuildUpStrip opened={() => (asked = 'settings')} />{/if}
        {#if drawn === 'settings'}<Settings />{/if}
      </div>
    {:else}
      <div class="strip" style:min-height="{least}px">
        <BuildUpStrip />
        <Settings />
      </div>
    {/if}
  {/if}
</main>

<style>
  .bench {
    display: flex;
    flex: 1;
    flex-direction: column;
    min-height: 0;
    container: bench / size;
  }
  /* in a window as low as that, screens and ways out are not in sight together */
  @container frame (max-height: 480px) {
    .bench {
      overflow-y: auto;
    }
  }
  .above {
    flex: none;
  }
  .cramped {
    padding: 3px 16px;
    font-size: var(--text-small);
    background: var(--color-base-100);
    border-bottom: 1px solid var(--color-base-300);
  }
  .strip {
    display: grid;
    flex: 1;
    min-height: 0;
    grid-template-columns: minmax(0, 1fr) minmax(488px, 38%);
    border-top: 1px solid var(--color-base-300);
    background: var(--color-base-100);
  }
  @container bench (max-width: 1100px) {
    .strip {
      grid-template-columns: minmax(0, 1fr) 470px;
    }
  }
  /* in a window that stands upright there is more room beneath each other than beside */
  @container bench (max-aspect-ratio: 9/10) {
    .strip {
      grid-template: minmax(0, 1fr) minmax(240px, 42%) / minmax(0, 1fr);
    }
    .strip > :global(:last-child) {
      border-top: 1px solid var(--color-base-300);
    }
  }
  .drawer {
    display: flex;
    flex: none;
    margin-top: auto;
    flex-direction: column;
    min-height: 0;
    border-top: 1px solid var(--color-base-300);
    background: var(--color-base-100);
  }
  .drawer.open {
    flex: 1 0 max(190px, 46cqh);
  }
  .handles {
    display: flex;
    flex: none;
    gap: 4px;
    padding: 0 8px;
  }
  .handle {
    display: flex;
    align-items: center;
    justify-content: center;
    gap: 6px;
    min-height: 34px;
    padding: 0 12px;
    font-weight: 600;
    cursor: pointer;
  }
  .handle[aria-expanded='true'] {
    color: var(--color-primary);
  }
  .drawer > :global(section) {
    min-height: 0;
    flex: 1;
  }
</style>
