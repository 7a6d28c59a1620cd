<script lang="ts">
  /** A page: its picture and verdict, its title and address, its place among the others. Alt and arrows move it. */
  import { ofSite } from '../api/site';
  import type { Page, PageRow } from '../api/types';
  import Field from '../parts/Field.svelte';
  import NameField from '../parts/NameField.svelte';
  import TrueCard from '../parts/TrueCard.svelte';
  import Menu from '../parts/Menu.svelte';
  import { useBench } from '../state/context';
  import { doings } from '../state/shared.svelte';

  type Props = {
    page: Page;
    /** What was found of it; null: not yet. */
    row: PageRow | null;
    number: number;
    count: number;
    chosen: boolean;
    open: () => void;
    move: (by: -1 | 1) => void;
    /** Look at another page. */
    turn: (id: string) => void;
  };
  let { page, row, number, count, chosen, open, move, turn }: Props = $props();
  const { edits, shared } = useBench();

  const parts = $derived(shared.partsOf(page.id));
  const same = $derived(parts.filter((part) => part.state === 'shared').length);
  const sharing = $derived(
    same === 0 ? 'Shares nothing' : same === 1 ? 'Shares 1 part' : `Shares ${same} parts`,
  );
  const groups = $derived(
    parts.flatMap((part) => {
      const actions = doings(shared, page.id, part).map((one) => ({
        id: `${part.part} ${one.id}`,
        name: one.name,
        run: () => void edits.edit(one.edit, undefined, false),
      }));
      return actions.length > 0 ? [{ title: part.name, actions }] : [];
    }),
  );
</script>

<TrueCard
  label="Open {page.title} on the bench"
  picture={row ? ofSite(`/page-pictures/${page.id}/${row.picture}`) : null}
  current={chosen}
  {open}
  {move}
/>
<div class="flex items-baseline gap-2 pt-1">
  <NameField
    label="Title of the page"
    value={page.title}
    keep={(title) => edits.edit({ kind: 'name-page', page: page.id, title }, undefined, false)}
  />
</div>
<p class="verdict text-small" class:text-warning={row?.short} class:text-success={row?.good}>
  {row?.sentence ?? 'Reading …'}
</p>
<div class="flex min-h-7 items-center gap-2 text-small">
  {#if number === 0}
    <span class="muted py-1" title="The first page is what visitors see who ask for the site"
      >index.html, the first</span
    >
  {:else}
    <Field
      label="Address of {page.title}"
      hideLabel
      width="150px"
      value={page.slug}
      maxlength={60}
      keep={(slug) => edits.edit({ kind: 'address-page', page: page.id, slug }, undefined, false)}
    />
    <span class="muted">.html</span>
  {/if}
  {#if row && row.links > 0}
    <span class="muted ml-auto whitespace-nowrap"
      >{row.links === 1 ? '1 link leads here' : `${row.links} links lead here`}</span
    >
  {/if}
</div>
<div class="flex items-center gap-2 pt-1 text-small">
  <Field
    label="Kind of {page.title}"
    hideLabel
    width="110px"
    value={page.kind ?? 'page'}
    maxlength={40}
    note="A word of your own: home, list, article, … What pages of one kind share is changed once"
    keep={(word) => edits.edit({ kind: 'kind-page', page: page.id, word }, undefined, false)}
  />
  <Menu
    label="What {page.title} shares"
    {groups}
    name={sharing}
    says="{sharing} with other pages: {page.title}"
  />
</div>
<div class="-ml-2 flex flex-wrap">
  <button
    type="button"
    class="quiet act"
    onclick={() => void edits.edit({ kind: 'copy-page', page: page.id }, turn)}>Copy</button
  >
  <button
    type="button"
    class="quiet act"
    disabled={number === 0}
    aria-label="Move {page.title} earlier"
    onclick={() => move(-1)}>Earlier</button
  >
  <button
    type="button"
    class="quiet act"
    disabled={number === count - 1}
    aria-label="Move {page.title} later"
    onclick={() => move(1)}>Later</button
  >
  <button
    type="button"
    class="quiet act"
    disabled={count === 1}
    aria-label="Remove {page.title}"
    onclick={() => void edits.edit({ kind: 'remove-page', page: page.id }, turn)}>Remove</button
  >
</div>

<style>
  .verdict {
    min-height: 2.6em;
  }
</style>
