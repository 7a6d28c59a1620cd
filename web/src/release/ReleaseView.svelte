<script lang="ts">
  /** Putting the site live: what has changed and how it looks, what that weighs and how it reads, and going back. */
  import * as client from '../api/client';
  import Progress from '../parts/Progress.svelte';
  import { useBench } from '../state/context';
  import { when } from '../sites/when';
  import Changes from './Changes.svelte';
  import Measured from './Measured.svelte';
  import PutLive from './PutLive.svelte';
  import ReleaseList from './ReleaseList.svelte';

  const { doc, edits, releases } = useBench();
  const { looking } = releases;
  const found = $derived(releases.found);
  const live = $derived(found?.releases[0]);
  const now = $derived(looking.of({ revision: doc.revision, page: '' }));
  const shown = $derived(now ?? looking.found?.value ?? null);

  $effect(() => {
    if (doc.state && doc.draft.length === 0) void releases.list(doc.revision);
  });
  $effect(() => {
    // nothing is compared with what is live before that is known
    if (found?.revision === doc.revision && !found.same && !now && !looking.stopped)
      void releases.look(doc.revision);
  });

  const again = () => void releases.look(doc.revision);
</script>

<main class="release foot-room">
  <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <h2 class="display-face text-head">Release</h2>
    <p role="status" class="min-w-0 flex-1">
      {#if releases.failed}
        <span class="text-error">{releases.failed}</span>
        <button type="button" class="quiet act" onclick={() => void releases.list(doc.revision)}
          >Try again</button
        >
      {:else if !found}<span class="muted">Looking at what is live …</span>
      {:else if !live}<span class="muted">Nothing is live yet.</span>
      {:else}
        Release {live.number} is live since {when(live.made)}{live.short > 0
          ? ', although words fall short'
          : live.lost > 0
            ? ', although words are lost'
            : ''}.
        {#if found.same}<b>There is nothing new since.</b>{/if}
      {/if}
    </p>
    {#if live}
      <a class="quiet act" href={found?.visit} target="_blank" rel="noopener">Open as a visitor</a>
    {/if}
  </div>

  {#if found}
    <div class="parts">
      <Changes {found} />
      <div class="aside">
        {#if !found.same || !live}
          <section aria-labelledby="next" class="flex flex-col gap-2">
            <h3 id="next" class="display-face text-title">Release {(live?.number ?? 0) + 1}</h3>
            <PutLive look={now} next={(live?.number ?? 0) + 1} />
            {#if looking.share !== null}
              <Progress
                label="Measuring what the release would be"
                share={looking.share}
                doing={looking.doing}
                stop={() => looking.stop()}
              />
            {:else if looking.stopped && !now}
              <p class="text-small">
                It was not measured to the end.
                <button type="button" class="quiet act" onclick={again}>Measure it</button>
              </p>
            {:else if !now}
              <p class="muted text-small" aria-busy="true">Waiting for the last change to be kept …</p>
            {/if}
            {#if shown}<Measured look={shown} stale={!now} />{/if}
          </section>
        {/if}
        <ReleaseList
          rows={found.releases}
          busy={releases.going}
          same={found.same}
          back={(number) => void releases.back(number, doc.revision)}
          workOn={(number) => void edits.exchange((of) => client.workOnRelease(number, of))}
        />
      </div>
    </div>
  {/if}
</main>

<style>
  .release {
    display: flex;
    flex: 1;
    flex-direction: column;
    gap: 14px;
    min-height: 0;
    padding: 14px 24px;
    overflow-y: auto;
  }
  .parts {
    display: grid;
    grid-template-columns: minmax(0, 1200px) minmax(390px, 1fr);
    gap: 32px;
    align-items: start;
  }
  .aside {
    display: flex;
    flex-direction: column;
    gap: 24px;
  }
  @container frame (max-width: 900px) {
    .parts {
      grid-template-columns: minmax(0, 1fr);
    }
    .aside {
      order: -1;
    }
  }
</style>
