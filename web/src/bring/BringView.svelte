<script lang="ts">
  /** A stylesheet or a page of one's own: pasted or dropped, read, seen as it would look, and laid on areas. */
  import * as client from '../api/client';
  import { whole } from '../parts/whole';
  import { useBench } from '../state/context';
  import type { Area } from '../state/tree';
  import BroughtCard from './BroughtCard.svelte';
  import UnreadList from './UnreadList.svelte';

  const { bringing, doc, edits, notices, place, selection } = useBench();
  const found = $derived(bringing.found);
  let laying = $state(false);
  /** Why fonts that came with it were not taken. */
  let refused = $state.raw<string[]>([]);
  const here = $derived(new Set(doc.fonts.map((font) => font.family.toLowerCase())));
  /** Fonts that its stylesheets name and that are not here. */
  const strange = $derived((found?.faces ?? []).filter((family) => !here.has(family.toLowerCase())));

  async function takeFonts(): Promise<void> {
    if (!found) return;
    laying = true;
    refused = [];
    const problem = await edits.exchange(async (revision) => {
      const done = await client.takeBroughtFonts(revision, found.id);
      bringing.found = done.found;
      ({ refused } = done);
      return done.step;
    });
    laying = false;
    if (problem) bringing.problem = problem.message;
    else notices.say('Its fonts are on the shelf, and the words are set in them here.');
  }

  async function bring(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const files = [...(event.currentTarget.files ?? [])];
    event.currentTarget.value = '';
    if (files.length > 0) await bringing.files(files);
  }

  const areaName = (area: Area) => (area.column ? `${area.band?.name}: ${area.name}` : area.name);

  async function lay(number: number, as_band: boolean): Promise<void> {
    const [page, area] = [selection.page?.id, selection.area?.id];
    if (!page || !area || !found) return;
    laying = true;
    let chosen: string | null = null;
    const problem = await edits.exchange(async (revision) => {
      const done = await client.layBrought(revision, { id: found.id, number, page, area, as_band });
      chosen = done.chosen;
      return done.step;
    });
    laying = false;
    if (problem) {
      bringing.problem = problem.message;
      return;
    }
    if (chosen) selection.choose(chosen);
    place.go('bench');
    notices.notice = { text: 'It lies there. Undo takes it away again.', tone: 'plain' };
  }
</script>

<main class="bring foot-room">
  <section aria-labelledby="bring-in" class="given">
    <h2 id="bring-in" class="display-face text-head">Bring in</h2>
    <p>
      What you have already: CSS, a page with its stylesheets and pictures, or a zip of them. It is read here;
      nothing is fetched from elsewhere, and nothing of your site changes until you lay it.
    </p>
    <label class="flex min-h-0 flex-col">
      <span class="muted pb-0.5 text-small">CSS or HTML</span>
      <textarea
        class="field code"
        spellcheck="false"
        rows="9"
        placeholder={'.banner {\n  background: …;\n}'}
        bind:value={bringing.text}></textarea>
    </label>
    <div class="flex flex-wrap gap-2">
      <button
        type="button"
        class="btn btn-primary h-[32px] min-h-0"
        disabled={bringing.text.trim() === '' || bringing.reading !== ''}
        onclick={() => void bringing.read()}>Read it</button
      >
      <label class="btn btn-outline h-[32px] min-h-0">
        Bring files
        <input
          type="file"
          class="sr-only"
          multiple
          accept=".css,.html,.htm,.zip,.woff2,.woff,.ttf,.otf,image/*"
          aria-label="Bring stylesheets, pages, pictures, fonts or a zip of them"
          onchange={bring}
        />
      </label>
    </div>
    <p role="status" class="min-h-[1.5em] text-small">
      {#if bringing.reading}<span class="muted">Reading {bringing.reading} …</span>
      {:else if bringing.names.length > 0}<span class="muted">Read: {bringing.names.join(', ')}</span>{/if}
    </p>
    {#if bringing.problem}<p role="alert" class="text-error">{bringing.problem}</p>{/if}
  </section>

  <section aria-label="What was read" class="min-w-0">
    {#if !found}
      <p class="muted max-w-prose pt-1">
        Each rule that puts something behind words will stand here as it would look, with the line that it
        comes from. What cannot be read will be listed with the reason.
      </p>
    {:else}
      <div class="flex flex-wrap items-end gap-x-6 gap-y-2 pb-3">
        <p class="min-w-0 flex-1 font-semibold">{found.sentence}</p>
        {#if found.areas.length > 0}
          <label>
            <span class="muted block pb-0.5 text-small">Page</span>
            <select
              class="field"
              value={selection.page?.id}
              onchange={(e) => selection.choosePage(e.currentTarget.value)}
            >
              {#each doc.site?.pages ?? [] as page (page.id)}<option value={page.id}>{page.title}</option
                >{/each}
            </select>
          </label>
          <label>
            <span class="muted block pb-0.5 text-small">Area to lay it on</span>
            <select
              {@attach whole}
              class="field"
              value={selection.area?.id}
              onchange={(e) => selection.choose(e.currentTarget.value)}
            >
              {#each selection.areas as area (area.id)}<option value={area.id}>{areaName(area)}</option
                >{/each}
            </select>
          </label>
        {/if}
      </div>
      <ul class="cards">
        {#each found.areas as row (row.number)}
          <li>
            <BroughtCard
              {row}
              picture={client.broughtPicture(found.id, row.number)}
              on={selection.area ? areaName(selection.area) : ''}
              busy={laying || bringing.reading !== ''}
              lay={(as_band) => void lay(row.number, as_band)}
            />
          </li>
        {/each}
      </ul>
      {#if found.faces.length > 0}
        <p class="muted pt-3 text-small">
          It brings fonts of its own: {found.faces.join(', ')}.
          {#if found.fonts.length === 0 && strange.length > 0}
            Words in {strange.join(', ')} are set in the nearest that is here; drop the files of the font beside
            it.
          {/if}
        </p>
      {/if}
      {#if found.fonts.length > 0}
        <p class="flex flex-wrap items-center gap-3 pt-2 text-small">
          <button
            type="button"
            class="btn btn-outline h-[30px] min-h-0"
            disabled={laying}
            onclick={() => void takeFonts()}
            >{found.fonts.length === 1
              ? 'Take its font along'
              : `Take its ${found.fonts.length} fonts along`}</button
          >
          <span class="muted min-w-0">{found.fonts.join(', ')}</span>
        </p>
      {/if}
      {#each refused as sentence (sentence)}<p role="alert" class="pt-2 text-error">{sentence}</p>{/each}
      {#if found.unread.length > 0}
        <h3 class="pt-4 pb-1 font-semibold">What was not read, or only nearly</h3>
        <UnreadList rows={found.unread} />
      {/if}
    {/if}
  </section>
</main>

<style>
  .bring {
    display: grid;
    flex: 1;
    grid-template-columns: 320px minmax(0, 1fr);
    gap: 32px;
    align-content: start;
    min-height: 0;
    padding: 14px 24px;
    overflow-y: auto;
  }
  .given {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .code {
    font-family: ui-monospace, monospace;
    font-size: var(--text-small);
    resize: vertical;
  }
  .cards {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 300px), 1fr));
    gap: 20px 24px;
  }
  @container frame (max-width: 900px) {
    .bring {
      grid-template-columns: minmax(0, 1fr);
      gap: 8px;
    }
  }
</style>
