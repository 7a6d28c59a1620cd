<script lang="ts">
  /** Three ways to begin, in the place of the build-up, while nothing was done with the site yet. */
  import Progress from '../parts/Progress.svelte';
  import { siteId } from '../api/site';
  import { useBench } from '../state/context';
  import { smallOf } from '../parts/thumb';

  /** How high it is at least, px. */
  let { least }: { least: number } = $props();
  const { beginning, edits, place } = useBench();
  const id = $props.id();
  let picture = $state<HTMLInputElement>();
  let site = $state<HTMLInputElement>();
  const busy = $derived(beginning.doing !== null);
  const asset = $derived(beginning.asset);

  function chosen(input: HTMLInputElement, take: (file: File) => void): void {
    const file = input.files?.[0];
    input.value = '';
    if (file) take(file);
  }

  /** Another site is another document of the browser's. */
  async function open(file: File | null): Promise<void> {
    await edits.settle();
    const found = await beginning.open(file);
    if (found && found !== siteId()) window.location.assign(`?${new URLSearchParams({ site: found })}`);
  }
</script>

<section aria-labelledby="{id}-title" class="begin" style:min-height="{least}px" aria-busy={busy}>
  <div class="flex flex-wrap items-baseline gap-x-4">
    <h2 id="{id}-title" class="display-face text-title">Begin</h2>
    {#if beginning.doing}
      {@const { what, words, share } = beginning.doing}
      <div role="status" class="flex min-w-0 items-center gap-3">
        <span class="truncate">{what}{share === null ? ' …' : ''}</span>
        {#if share !== null}
          <Progress label={what} {share} doing={words} stop={() => beginning.stop()} />
        {/if}
      </div>
    {:else if beginning.arriving}
      {@const { name, done } = beginning.arriving}
      <div role="status" class="flex min-w-0 items-center gap-3">
        <span class="truncate">{name} is on its way</span>
        <Progress label={name} share={done} stop={() => beginning.stop()} />
      </div>
    {:else if beginning.problem}
      <p role="alert" class="text-error min-w-0">{beginning.problem}</p>
    {/if}
    <button
      type="button"
      class="quiet act ml-auto"
      disabled={busy}
      title="Show the build-up and the settings of this page"
      onclick={() => (beginning.left = true)}>Go on with this page as it is</button
    >
  </div>
  <div class="ways">
    <form
      class="way first"
      aria-labelledby="{id}-picture"
      onsubmit={(event) => {
        event.preventDefault();
        void beginning.putTogether();
      }}
    >
      <h3 id="{id}-picture" class="font-semibold">A picture and your words</h3>
      <div class="pair">
        <button
          type="button"
          class="drop"
          disabled={busy}
          aria-label={asset ? `${asset.name}: choose another picture` : 'Choose a picture, or drop one here'}
          style:background-image={asset ? smallOf(asset, true) : undefined}
          onclick={() => picture?.click()}
        >
          {#if asset}
            <span class="onit">
              <b class="block truncate">{asset.name}</b>
              choose another picture
            </span>
          {:else}
            <span>Choose a picture, or drop one here</span>
          {/if}
        </button>
        <input
          bind:this={picture}
          type="file"
          accept="image/*,video/*"
          class="sr-only"
          tabindex="-1"
          aria-label="A picture"
          onchange={(e) => chosen(e.currentTarget, (file) => void beginning.take([file]))}
        />
        <div class="flex min-w-0 flex-1 flex-col justify-between gap-2">
          <label class="flex flex-1 flex-col gap-1">
            <span class="muted text-small">What your visitors shall read</span>
            <textarea
              class="field w-full flex-1 resize-none py-1"
              rows="2"
              maxlength="400"
              disabled={busy}
              placeholder="One line is enough"
              bind:value={beginning.words}
              onkeydown={(event) => {
                if (event.key !== 'Enter' || event.shiftKey) return;
                event.preventDefault();
                void beginning.putTogether();
              }}></textarea>
          </label>
          <p class="muted text-small">They are made readable on every screen; undo takes it back.</p>
          <button
            type="submit"
            class="btn btn-primary h-[34px] min-h-0 self-start px-4"
            disabled={!beginning.ready}
            title="At the least cost to the picture, as one step">Put them together</button
          >
        </div>
      </div>
    </form>
    <div class="way">
      <h3 class="font-semibold">What I have</h3>
      <button type="button" class="quiet act" disabled={busy} onclick={() => place.go('bring')}
        >A stylesheet or a page …</button
      >
      <button type="button" class="quiet act" disabled={busy} onclick={() => site?.click()}
        >A site file …</button
      >
      <input
        bind:this={site}
        type="file"
        accept=".zip,application/zip"
        class="sr-only"
        tabindex="-1"
        aria-label="A site file"
        onchange={(e) => chosen(e.currentTarget, (file) => void open(file))}
      />
      <p class="muted text-small">Your page is read as it is; nothing is sent anywhere.</p>
    </div>
    <div class="way">
      <h3 class="font-semibold">Look around</h3>
      <button type="button" class="quiet act" disabled={busy} onclick={() => void open(null)}
        >Open the sample</button
      >
      <p class="muted text-small">
        Marrowby Fern House, a made-up glasshouse, as a site of its own. This one stays as it is.
      </p>
    </div>
  </div>
</section>

<style>
  .begin {
    display: flex;
    flex: 1;
    flex-direction: column;
    gap: 10px;
    min-height: 0;
    padding: 12px 24px 16px;
    overflow-y: auto;
    background: var(--color-base-100);
    border-top: 1px solid var(--color-base-300);
  }
  .ways {
    display: grid;
    flex: 1;
    grid-template-columns: minmax(0, 2fr) minmax(200px, 1fr) minmax(200px, 1fr);
    gap: 20px 32px;
  }
  .way {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 6px;
  }
  .way + .way {
    padding-left: 24px;
    border-left: 1px solid var(--color-base-300);
  }
  .way > :global(.act) {
    margin-left: -8px;
  }
  .first {
    align-items: stretch;
  }
  .pair {
    display: flex;
    flex: 1;
    gap: 16px;
    min-height: 120px;
    max-height: 240px;
  }
  .drop {
    display: grid;
    place-items: center;
    width: 46%;
    min-width: 0;
    padding: 8px;
    font-weight: 600;
    color: var(--color-primary);
    background-size: cover;
    background-position: center;
    border: 2px dashed var(--color-primary);
    cursor: pointer;
  }
  .drop:disabled {
    cursor: default;
    opacity: 0.6;
  }
  .onit {
    max-width: 100%;
    padding: 2px 8px;
    align-self: end;
    color: var(--color-base-content);
    background: var(--color-base-100);
  }
  @container bench (max-width: 860px) {
    .ways {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    }
    .first {
      grid-column: 1 / -1;
    }
    .first + .way {
      padding-left: 0;
      border-left: 0;
    }
  }
</style>
