<script lang="ts">
  /** Ways out for words that fall short, in the place of the build-up: the screens stay in sight. */
  import { wordsOf } from '../state/words';
  import { untrack } from 'svelte';
  import type { Block } from '../api/types';
  import { put } from '../state/target';
  import Designs from './Designs.svelte';
  import RemedyCard from './RemedyCard.svelte';
  import { useBench } from '../state/context';
  import { whole } from '../parts/whole';

  /** How high it is at least, px. */
  let { least }: { least: number } = $props();
  const { doc, edits, selection, ways } = useBench();

  /** From one card to the next, px. */
  const STEP = 326;
  const LOCKS = [
    { lock: 'colour', name: 'colour', note: 'The words keep their colour' },
    { lock: 'place', name: 'place', note: 'The words stay where they are' },
    { lock: 'picture', name: 'picture', note: 'Nothing is laid over the picture, and it is not changed' },
  ] as const;
  const block = $derived(ways.block);
  const keep = $derived(block?.keep ?? []);
  const revision = $derived(doc.state?.revision);
  const id = $derived(block?.id);
  /** Other words that fall short as well. */
  const next = $derived(ways.words.find((b) => b.id !== id && ways.isShort(b.id)));
  const looking = $derived(ways.share < 1);

  $effect(() => {
    // sought once for a state of the site and these words; it goes on when another view is looked at
    if (revision !== undefined && id) void untrack(() => ways.seek());
  });

  function said(of: Block): string {
    return (wordsOf(of) || doc.kind(of).name).slice(0, 46);
  }

  function turn(of: Block, lock: (typeof LOCKS)[number]['lock']): void {
    const on = !keep.includes(lock);
    const next = on ? [...keep, lock] : keep.filter((k) => k !== lock);
    void edits.keep(
      put(selection.blockTarget(of.id), { keep: next }),
      `${on ? 'Leave' : 'Free'} the ${lock} of ${said(of)}`,
    );
  }
</script>

<section aria-labelledby="ways-out" class="ways" style:min-height="{least}px">
  <div class="flex flex-wrap items-center gap-x-4 whitespace-nowrap">
    <h2 id="ways-out" class="display-face text-title">Ways out</h2>
    <label class="muted">
      for
      <select
        {@attach whole}
        class="words"
        value={block?.id}
        onchange={(e) => (ways.blockId = e.currentTarget.value)}
        disabled={ways.designs !== null}
      >
        {#each ways.words as words (words.id)}
          <option value={words.id}>{said(words)}{ways.isShort(words.id) ? ' (short)' : ''}</option>
        {/each}
      </select>
    </label>
    {#if block}
      {@const of = block}
      <fieldset class="muted flex items-center gap-3 text-small">
        <legend class="float-left pr-1">Leave alone its</legend>
        {#each LOCKS as { lock, name, note } (lock)}
          <label class="flex cursor-pointer items-center gap-1" title={note}>
            <input type="checkbox" checked={keep.includes(lock)} onchange={() => turn(of, lock)} />
            {name}
          </label>
        {/each}
      </fieldset>
    {/if}
    <div class="ml-auto flex items-center gap-1">
      {#if looking}
        <progress
          class="progress progress-primary w-24"
          max="1"
          value={ways.share}
          aria-label="How far the search is"
        ></progress>
        <button type="button" class="quiet" onclick={() => ways.stop()}>Stop</button>
      {/if}
      <button
        type="button"
        class="quiet act"
        disabled={ways.doing !== null || ways.designs !== null}
        title="All words that fall short, together: whole pages, each by one idea"
        onclick={() => void ways.mendPage()}>Mend the page</button
      >
      <button type="button" class="quiet" title="Back to the build-up (R)" onclick={() => ways.close()}
        >Close</button
      >
    </div>
  </div>
  {#if ways.designs}
    <Designs designs={ways.designs} />
  {:else if ways.doing !== null}
    <p class="muted" role="status">Mending the page{ways.doing ? `: ${ways.doing}` : ''} …</p>
  {:else}
    <p
      role="status"
      class="plight clamped steady"
      title={ways.plight?.sentence}
      class:text-warning={ways.plight?.short}
      class:text-success={ways.plight && !ways.plight.short}
    >
      {#if ways.plight}{ways.plight.sentence}{:else}<span class="muted"
          >Reading these words in every situation …</span
        >{/if}
    </p>
    {#if ways.plight && !ways.plight.short}
      <p class="muted">
        Nothing has to be done for these words.
        {#if next}
          <button type="button" class="quiet act" onclick={() => (ways.blockId = next.id)}
            >Go on with '{said(next)}'</button
          >
        {/if}
        <button type="button" class="quiet act" onclick={() => ways.close()}>Back to the build-up</button>
      </p>
    {/if}
    {#if ways.plight?.short}
      <ol class="cards" onpointerenter={() => ways.rest(true)} onpointerleave={() => ways.rest(false)}>
        {#each ways.found as remedy, n (`${remedy.remedy} ${remedy.sentence}`)}
          <li style:transform="translateX({n * STEP}px)"><RemedyCard {remedy} /></li>
        {/each}
        {#if looking}
          <li class="more muted" style:transform="translateX({ways.found.length * STEP}px)">
            Looking for more …
          </li>
        {:else if ways.found.length === 0}
          <li class="more">
            Nothing was found that these words could be read with. Free what is left alone, or give them
            another wording or size.
          </li>
        {/if}
      </ol>
    {/if}
  {/if}
</section>

<style>
  .ways {
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
    .plight {
      --lines: 2;
    }
  }
  .words {
    max-width: 280px;
    min-height: 28px;
    background: transparent;
    font-weight: 600;
    color: var(--color-base-content);
    cursor: pointer;
  }
  /* each card has its place by its number; one that is found later glides in and moves nothing by a jump */
  .cards {
    position: relative;
    flex: 1;
    min-height: 178px;
    overflow: auto hidden;
  }
  .cards li {
    position: absolute;
    inset: 0 auto 10px 0;
    transition: transform 0.25s;
  }
  .cards .more {
    top: 40%;
    max-width: 420px;
  }
</style>
