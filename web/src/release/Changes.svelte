<script lang="ts">
  /** What has changed since what is live: how it looked and looks on each screen, and in words by area. */
  import { ofSite } from '../api/site';
  import type { PageLook, ReleasesFound, ScreenPicture } from '../api/types';
  import { useBench } from '../state/context';

  let { found }: { found: ReleasesFound } = $props();
  const { doc, place, selection } = useBench();
  const live = $derived(found.releases[0]?.number);
  const changed = (page: string) => found.changes.pages.find((p) => p.page === page);
  /** Pages of which words are told, and which have no picture: those that are gone, and those that look as before. */
  const others = $derived(
    found.changes.pages.filter((p) => !found.looks.some((look) => look.page === p.page)),
  );
  const HOW = { new: 'is new', gone: 'is gone', changed: 'looks as it did' } as const;

  /** As wide as it will be, before it is there: nothing moves when it comes. */
  const ratio = (screen: string) => {
    const one = doc.site?.screens.find((s) => s.id === screen);
    return one ? `${one.width} / ${one.height}` : '16 / 10';
  };

  const address = (page: PageLook, screen: ScreenPicture, content: string, before: boolean) =>
    ofSite(
      `/page-pictures/${page.page}/${content}?screen=${encodeURIComponent(screen.screen)}${before ? `&release=${live}` : ''}`,
    );

  function open(page: string, area: string): void {
    selection.choosePage(page);
    selection.choose(area);
    place.go('bench');
  }
</script>

{#snippet picture(page: PageLook, screen: ScreenPicture, content: string, before: boolean)}
  {@const said = `${screen.name}, as it ${before ? 'is live' : 'would be'}`}
  <img
    style:aspect-ratio={ratio(screen.screen)}
    src={address(page, screen, content, before)}
    alt={said}
    title={said}
  />
{/snippet}

<section
  aria-label={live ? `What has changed since release ${live}` : 'What would be put live'}
  class="min-w-0"
>
  {#if found.changes.site.length > 0}
    <p class="pb-3">The site: {found.changes.site.join(', ')}.</p>
  {/if}
  {#if found.same && live}
    <p class="muted pb-3">
      So visitors see it now. What you change from here on is compared with it here, and seen by nobody until
      you put it live.
    </p>
  {/if}
  {#each found.looks as look (look.page)}
    {@const words = changed(look.page)}
    <article class="page" aria-label={look.title}>
      <h3 class="font-semibold">
        {look.title}{#if live && words?.how === 'new'}<span class="muted font-normal"> is new</span>{/if}
      </h3>
      <div class="looks">
        {#each look.screens as screen (screen.screen)}
          <figure>
            <div class="pair" class:alone={!screen.before}>
              {#if screen.before}{@render picture(look, screen, screen.before, true)}{/if}
              {@render picture(look, screen, screen.after, false)}
            </div>
            <figcaption class="muted text-small">
              {screen.name}{screen.before ? ': live, then new' : ''}
            </figcaption>
          </figure>
        {/each}
      </div>
      {#if words}
        <ul class="said">
          {#each words.areas as area (area.area + area.said.join())}
            <li>
              <button type="button" class="quiet act name" onclick={() => open(look.page, area.area)}
                >{area.name}</button
              ><span>{area.said.join('; ')}</span>
            </li>
          {/each}
        </ul>
      {:else if live && !found.same}
        <p class="muted text-small">It changes because of what rules show on it, or a picture it uses.</p>
      {/if}
    </article>
  {/each}
  {#each others as page (page.page)}
    <p class="border-t border-base-300 py-2"><b>{page.title}</b> {HOW[page.how as keyof typeof HOW]}</p>
    <ul class="said">
      {#each page.areas as area (area.area + area.said.join())}
        <li><span class="name px-2">{area.name}</span><span>{area.said.join('; ')}</span></li>
      {/each}
    </ul>
  {/each}
</section>

<style>
  .page {
    padding-bottom: 16px;
  }
  .looks {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 20px;
    padding-top: 6px;
  }
  .pair {
    --high: 132px;
    display: flex;
    gap: 4px;
    height: var(--high);
  }
  .alone {
    --high: 210px;
  }
  img {
    display: block;
    height: var(--high);
    width: auto;
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 26%, transparent);
  }
  @container frame (max-width: 1100px) {
    .alone {
      --high: 150px;
    }
  }
  .said li {
    display: flex;
    align-items: baseline;
    gap: 4px;
  }
  .said .name {
    flex: none;
    margin-left: -8px;
  }
</style>
