<script lang="ts">
  /** The owner's own fonts: their letters, what each file says of itself, where they are used, what they lack there. */
  import * as client from '../api/client';
  import type { OwnFamily, OwnFonts } from '../api/types';
  import { weight } from '../parts/weight';
  import Field from '../parts/Field.svelte';
  import { useBench } from '../state/context';
  import { faceOf, have, KINDS } from '../state/fonts';
  import { put } from '../state/target';

  const { doc, edits, place, selection } = useBench();

  /** null: not fetched yet. */
  let found = $state.raw<OwnFonts | null>(null);
  let failed = $state('');
  const revision = $derived(doc.state?.revision);
  const words = $derived(selection.block && doc.kind(selection.block).lettered ? selection.block : null);

  $effect(() => {
    if (revision !== undefined) void fetchAll();
  });

  async function fetchAll(): Promise<void> {
    failed = '';
    try {
      const view = await client.ownFonts();
      for (const file of doc.site?.fonts ?? []) have(file);
      found = view;
    } catch (error) {
      failed = error instanceof Error ? error.message : 'The fonts cannot be looked at now.';
    }
  }

  const sample = (family: OwnFamily) => family.lacking[0]?.words ?? words?.wording ?? family.family;
  const lettered = (count: number) => `${count} ${count === 1 ? 'block' : 'blocks'} of words`;

  /** The first axes with their ranges, and how many more there are. */
  function axesOf({ axes }: OwnFamily): string {
    if (axes.length === 0) return '';
    const first = axes.slice(0, 4).map((axis) => `${axis.name} ${axis.least} to ${axis.most}`);
    const more = axes.length > 4 ? ` and ${axes.length - 4} more` : '';
    return `, ${axes.length === 1 ? 'one axis' : `${axes.length} axes`}: ${first.join(', ')}${more}`;
  }

  function set(family: string): void {
    if (!selection.page || !words) return;
    const block = words.id;
    const values = { 'lettering/font': family, 'lettering/axes': {} };
    void edits.keep(put(selection.blockTarget(block), values), `Font ${family}`, () => {
      selection.chooseBlock(block);
      place.go('bench');
    });
  }
</script>

<div class="foot-room min-h-0 flex-1 overflow-y-auto pb-4">
  {#if failed}
    <p role="alert" class="empty text-error">
      {failed}
      <button type="button" class="quiet act" onclick={() => void fetchAll()}>Try again</button>
    </p>
  {:else if found === null}
    <p class="empty muted" aria-busy="true">Looking at the fonts …</p>
  {:else if found.families.length === 0}
    <div class="empty">
      <p class="max-w-[62ch]">
        No font of your own yet. Drop the files anywhere on this window, or bring them: WOFF2, WOFF, TTF or
        OTF, variable or not, one by one or as a collection. They stay with this site, are handed out with it,
        and words are read in them as in the fonts that are here already.
      </p>
    </div>
  {:else}
    <ul class="families">
      {#each found.families as family (family.family)}
        <li class="family">
          <p class="letters" style:font-family={family.files[0] ? `"${faceOf(family.files[0].hash)}"` : ''}>
            {sample(family)}
          </p>
          <div class="flex flex-wrap items-end gap-3">
            <div class="min-w-[180px] flex-1">
              <Field
                label="Name of the family"
                value={family.family}
                maxlength={60}
                keep={(name) => edits.edit({ kind: 'name-font', family: family.family, name })}
              />
            </div>
            <label>
              <span class="muted block pb-0.5 text-small">Kind of letters</span>
              <select
                class="field"
                value={family.category}
                title="By this goes what stands in until it has come"
                onchange={(e) =>
                  void edits.edit({
                    kind: 'stand-in',
                    family: family.family,
                    category: e.currentTarget.value as OwnFamily['category'],
                  })}
              >
                {#each KINDS as one (one.kind)}<option value={one.kind}>{one.name}</option>{/each}
              </select>
            </label>
          </div>
          <p class="text-small">
            {family.letters} letters and signs{family.scripts ? ` (${family.scripts})` : ''}{axesOf(
              family,
            )}{family.instances.length > 0 ? `, ${family.instances.length} named styles` : ''}.
            {#if family.files.every((file) => file.allowed)}{family.files[0]?.embedding}{/if}
            {#if family.replaces}It stands in place of the font of this name that is here already.{/if}
          </p>
          {#each family.lacking as one (one.page + one.block)}
            <p class="note" role="note">{one.sentence}</p>
          {/each}
          <ul class="files">
            {#each family.files as file (file.id)}
              <li>
                <span class="font-semibold">{file.style}</span>
                <span class="min-w-0 truncate" title={file.name}>{file.name}</span>
                <span class="text-right">{weight(file.bytes)}</span>
                <button
                  type="button"
                  class="quiet act"
                  aria-label="Remove {file.name}"
                  onclick={() =>
                    void edits.edit({ kind: 'remove-font', family: family.family, file: file.id })}
                  >Remove</button
                >
                {#if !file.intact}
                  <p class="whole text-error" role="alert">
                    Its file is damaged on the disk. Drop the same file here again to heal it; until then
                    nothing is handed out with it.
                  </p>
                {/if}
                {#if !file.allowed || file.note}
                  <p class="whole" class:note={!file.allowed} class:muted={file.allowed}>
                    {file.allowed ? '' : file.embedding}
                    {file.note}
                  </p>
                {/if}
              </li>
            {/each}
          </ul>
          <div class="flex flex-wrap items-center gap-x-3">
            <span class="basis-full">
              {family.used === 0
                ? 'No words are set in it yet.'
                : `${lettered(family.used)}: ${family.places.join(', ')}.`}
            </span>
            {#if words && words.lettering?.font !== family.family}
              <button
                type="button"
                class="btn btn-outline h-[30px] min-h-0"
                onclick={() => set(family.family)}
                >Set “{(words.wording ?? '').slice(0, 24) || words.kind}” in it</button
              >
            {/if}
            {#if family.files.length > 1}
              <button
                type="button"
                class="quiet act"
                onclick={() => void edits.edit({ kind: 'remove-font', family: family.family })}
                >Remove the family</button
              >
            {/if}
          </div>
        </li>
      {/each}
    </ul>
  {/if}
</div>

<style>
  .empty {
    display: grid;
    place-items: center;
    min-height: 160px;
    border: 1px dashed var(--color-base-300);
  }
  .families {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 430px), 1fr));
    gap: 16px 24px;
    align-items: start;
  }
  .family {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding-top: 8px;
    border-top: 2px solid var(--color-base-300);
  }
  .letters {
    min-height: 46px;
    font-size: clamp(22px, 2.6cqw, 30px);
    line-height: 1.5;
    overflow-wrap: anywhere;
  }
  .files {
    display: flex;
    flex-direction: column;
    gap: 6px;
    font-size: var(--text-small);
  }
  .files li {
    display: grid;
    grid-template-columns: minmax(84px, auto) minmax(0, 1fr) 64px auto;
    gap: 0 8px;
    align-items: center;
  }
  .whole {
    grid-column: 1 / -1;
  }
  .note {
    padding-left: 8px;
    border-left: 4px solid var(--color-warning);
    font-size: var(--text-small);
  }
</style>
