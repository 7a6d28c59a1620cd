<script lang="ts">
  /** Exact slots: a list of sizes, and every picture cut for the chosen one. */
  import * as client from '../api/client';
  import type { Site, SlotView } from '../api/types';
  import Field from '../parts/Field.svelte';
  import SlotCrop from './SlotCrop.svelte';
  import { useBench } from '../state/context';
  import { alter, both, put, take } from '../state/target';
  import { smallOf } from '../parts/thumb';

  const { doc, edits, notices } = useBench();

  let slotId = $state<string | null>(null);
  let assetId = $state<string | null>(null);
  let view = $state.raw<SlotView | null>(null);
  let draft = $state({ name: '', width: '', height: '' });
  let problem = $state<string | null>(null);

  const slots = $derived(doc.site?.slots ?? []);
  const slot = $derived(slots.find((s) => s.id === slotId) ?? slots[0] ?? null);
  const rows = $derived(view && view.slot === slot?.id ? view.rows : []);
  const chosen = $derived(rows.find((r) => r.asset === assetId) ?? null);
  const asset = $derived(doc.site?.assets?.find((a) => a.id === assetId));
  const name = (id: string) => doc.site?.assets?.find((a) => a.id === id);

  $effect(() => {
    const revision = doc.state?.revision;
    if (revision === undefined || !slot) return;
    client
      .slot(revision, slot.id)
      .then((found) => (view = found))
      .catch((error: unknown) => notices.tell(error));
  });

  async function add(): Promise<void> {
    const slug = draft.name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 30);
    let id = /^[a-z]/.test(slug) ? slug : `slot-${slug || 1}`;
    for (let n = 2; slots.some((s) => s.id === id); n += 1) id = `${id.replace(/-\d+$/, '')}-${n}`;
    const value = { id, name: draft.name.trim(), width: Number(draft.width), height: Number(draft.height) };
    const refused = await edits.keep(put({}, { 'slots/-': value }), `Slot ${value.name}`);
    problem = refused?.message ?? null;
    if (refused) return;
    slotId = id;
    draft = { name: '', width: '', height: '' };
  }

  async function remove(): Promise<void> {
    if (!slot) return;
    const used = doc.site?.pages.some((p) =>
      (p.bands ?? []).some((b) =>
        (b.columns ?? []).some((c) => (c.blocks ?? []).some((k) => k.slot === slot.id)),
      ),
    );
    const { id } = slot;
    if (used) {
      problem = `${slot.name} is used by a picture on a page and stays.`;
      return;
    }
    const refused = await edits.keep(
      both(
        alter<Site>({}, (site) => ({ fits: (site.fits ?? []).filter((f) => f.slot !== id) })),
        take({ list: 'slots', item: id }),
      ),
      `Remove the slot ${slot.name}`,
    );
    problem = refused?.message ?? null;
  }
</script>

<div class="slots">
  <section aria-label="Slots" class="foot-room flex min-h-0 flex-col gap-2 overflow-y-auto">
    {#if slots.length === 0}
      <p>
        No slot yet. A slot is a place that takes pictures of one exact size, like a newsletter head of 600 ×
        200.
      </p>
    {/if}
    <ul>
      {#each slots as one (one.id)}
        <li>
          <button
            type="button"
            class="entry"
            aria-pressed={one.id === slot?.id}
            onclick={() => {
              slotId = one.id;
            }}><b>{one.name}</b> <span class="muted">{one.width} × {one.height} px</span></button
          >
        </li>
      {/each}
    </ul>
    <form
      class="flex flex-col gap-1.5 border-t border-base-300 pt-2"
      onsubmit={(e) => {
        e.preventDefault();
        void add();
      }}
    >
      <input
        class="field"
        placeholder="Name of a new slot"
        aria-label="Name of a new slot"
        bind:value={draft.name}
      />
      <div class="flex items-center gap-1.5">
        <input
          class="field w-20"
          inputmode="numeric"
          placeholder="width"
          aria-label="Width in px"
          bind:value={draft.width}
        />
        ×
        <input
          class="field w-20"
          inputmode="numeric"
          placeholder="height"
          aria-label="Height in px"
          bind:value={draft.height}
        />
        <button type="submit" class="btn btn-outline h-[28px] min-h-0" disabled={!draft.name.trim()}
          >Add</button
        >
      </div>
      {#if problem}<p role="alert" class="text-small text-error">{problem}</p>{/if}
    </form>
    {#if slot}
      <div class="flex flex-col gap-1.5 border-t border-base-300 pt-2">
        <Field
          label="Name"
          value={slot.name}
          keep={(text) => edits.keep(put({ list: 'slots', item: slot.id }, { name: text }), `Slot ${text}`)}
        />
        <button type="button" class="quiet act self-start px-0" onclick={() => void remove()}
          >Remove {slot.name}</button
        >
      </div>
    {/if}
  </section>

  <section aria-label="Pictures for the slot" class="foot-room min-h-0 overflow-y-auto">
    {#each rows as row (row.asset)}
      {@const own = name(row.asset)}
      {#if own}
        <button
          type="button"
          class="entry row"
          aria-pressed={row.asset === assetId}
          onclick={() => (assetId = row.asset)}
        >
          <span class="shown" style:background-image={smallOf(own)}></span>
          <span class="min-w-0">
            <span class="block truncate font-semibold">{own.name}</span>
            <span class="block text-small" class:soft={row.magnification > 1.005}>{row.sentence}</span>
            <span class="muted text-small">{row.cut ? 'cut for this slot' : 'not cut yet'}</span>
          </span>
        </button>
      {/if}
    {/each}
  </section>

  {#if slot && chosen && asset}
    {#key `${slot.id}/${asset.id}`}<SlotCrop {slot} {asset} row={chosen} />{/key}
  {:else}
    <p class="muted">Choose a picture to cut it for {slot?.name ?? 'a slot'}.</p>
  {/if}
</div>

<style>
  .slots {
    display: grid;
    flex: 1;
    grid-template-columns: 250px 300px minmax(0, 1fr);
    gap: 24px;
    min-height: 0;
  }
  @container frame (max-width: 980px) {
    .slots {
      grid-template-columns: 230px minmax(0, 1fr);
      grid-template-rows: 340px auto;
      flex: none;
    }
    .slots > :global(:last-child) {
      grid-column: 1 / -1;
      height: 60cqh;
    }
  }
  @container frame (max-width: 620px) {
    .slots {
      grid-template-columns: minmax(0, 1fr);
    }
  }

  .entry {
    display: block;
    width: 100%;
    min-height: 30px;
    padding: 4px 6px;
    text-align: left;
    cursor: pointer;
    border-left: 3px solid transparent;
  }
  .entry[aria-pressed='true'] {
    border-color: var(--color-primary);
    background: color-mix(in oklab, var(--color-primary) 8%, transparent);
  }
  .row {
    display: grid;
    grid-template-columns: 78px minmax(0, 1fr);
    gap: 10px;
    line-height: 1.3;
    border-bottom: 1px solid var(--color-base-300);
  }
  .shown {
    height: 54px;
    background: no-repeat center / contain;
  }
  .soft {
    color: var(--color-warning);
  }
</style>
