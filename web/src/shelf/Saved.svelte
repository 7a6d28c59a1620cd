<script lang="ts">
  /** What was kept for layers: whole looks and gradients of one's own, and the gradients that ship. */
  import * as client from '../api/client';
  import { addLayer } from '../buildup/layers';
  import { gradientImage } from '../layers/gradient';
  import Field from '../parts/Field.svelte';
  import { useBench } from '../state/context';
  import { put, take } from '../state/target';

  const bench = useBench();
  const { doc, edits, selection, place } = bench;

  const looks = $derived(doc.site?.looks ?? []);
  const own = $derived(doc.site?.gradients ?? []);
  const where = $derived(selection.area?.name ?? 'the area');

  function lay(look: string): void {
    const asked = { page: selection.page?.id ?? '', area: selection.area?.id ?? '' };
    void edits.edit({ kind: 'lay-look', ...asked, look }, (card) => {
      selection.chooseCard(card);
      place.go('bench');
    });
  }

  function layOver(saved: { name: string; gradient: unknown }): void {
    const layer = { kind: 'gradient', name: saved.name, gradient: saved.gradient };
    void addLayer(bench, layer, selection.layers.length, () => place.go('bench'));
  }

  let problem = $state('');

  async function bring(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (file) problem = (await edits.exchange((revision) => client.takeLooks(file, revision)))?.message ?? '';
  }

  const rename = (list: 'looks' | 'gradients', item: string, name: string) =>
    edits.keep(put({ list, item }, { name }), `Call it ${name}`);
  const remove = (list: 'looks' | 'gradients', item: string, name: string) =>
    void edits.keep(take({ list, item }), `Remove ${name} from the shelf`);
</script>

<div class="foot-room min-h-0 flex-1 overflow-y-auto">
  <div class="flex items-center gap-4 pb-1">
    <h3 class="display-face text-title">Looks</h3>
    <label class="quiet act cursor-pointer">
      Take those of another site's file
      <input type="file" class="sr-only" accept=".zip" aria-label="Another site's file" onchange={bring} />
    </label>
    {#if problem}<p role="alert" class="text-error">{problem}</p>{/if}
  </div>
  {#if looks.length === 0}
    <p class="muted pb-3">
      None yet. On the bench, choose an area's base and press “Save as a look” to keep its whole backdrop.
    </p>
  {:else}
    <ul class="grid-list pb-3">
      {#each looks as look (look.id)}
        <li>
          <Field
            label="Name of the look {look.name}"
            hideLabel
            value={look.name}
            maxlength={120}
            keep={(name) => rename('looks', look.id, name)}
          />
          <p class="muted truncate text-small">
            {look.backdrop.layers?.map((l) => l.name).join(', ') || 'a base colour'}
          </p>
          <div class="-ml-2 flex">
            <button type="button" class="quiet act" onclick={() => lay(look.id)}>Put behind {where}</button>
            <button type="button" class="quiet" onclick={() => remove('looks', look.id, look.name)}
              >Remove</button
            >
          </div>
        </li>
      {/each}
    </ul>
  {/if}
  <h3 class="display-face pb-1 text-title">Gradients of our own</h3>
  {#if own.length === 0}
    <p class="muted pb-3">None yet. “Save it” beside a gradient on the bench keeps it here.</p>
  {:else}
    <ul class="grid-list pb-3">
      {#each own as saved (saved.id)}
        <li>
          <button
            type="button"
            class="chip"
            style:background={gradientImage(saved.gradient)}
            aria-label="Lay {saved.name} over {where}"
            onclick={() => layOver(saved)}
          ></button>
          <Field
            label="Name of the gradient {saved.name}"
            hideLabel
            value={saved.name}
            maxlength={120}
            keep={(name) => rename('gradients', saved.id, name)}
          />
          <button type="button" class="quiet -ml-2" onclick={() => remove('gradients', saved.id, saved.name)}
            >Remove</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  <h3 class="display-face pb-1 text-title">Gradients that ship</h3>
  <ul class="grid-list">
    {#each doc.library?.gradients ?? [] as saved (saved.id)}
      <li>
        <button
          type="button"
          class="chip"
          style:background={gradientImage(saved.gradient)}
          aria-label="Lay {saved.name} over {where}"
          title="Lay it over {where}"
          onclick={() => layOver(saved)}
        ></button>
        <span class="text-small">{saved.name}</span>
      </li>
    {/each}
  </ul>
</div>

<style>
  .grid-list {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(clamp(172px, 12cqw, 340px), 1fr));
    gap: 12px 16px;
  }
  .chip {
    display: block;
    width: 100%;
    height: 64px;
    border: 1px solid var(--color-base-300);
    cursor: pointer;
  }
</style>
