<script lang="ts">
  /** A site: the picture of its first page, its name, what its pages come to, when it was last changed. */
  import { Refused } from '../api/answer';
  import * as client from '../api/client';
  import type { Problem, SiteRow } from '../api/types';
  import NameField from '../parts/NameField.svelte';
  import TrueCard from '../parts/TrueCard.svelte';
  import { when } from './when';

  type Props = {
    row: SiteRow;
    first: boolean;
    last: boolean;
    /** There is no other. */
    alone: boolean;
    chosen: boolean;
    open: () => void;
    move: (by: -1 | 1) => void;
    copy: () => void;
    remove: () => void;
    renamed: () => void;
  };
  let { row, first, last, alone, chosen, open, move, copy, remove, renamed }: Props = $props();

  async function keep(name: string): Promise<Problem | null> {
    if (name === row.name) return null;
    try {
      await client.nameSite(row.site, row.revision, name);
      renamed();
      return null;
    } catch (error) {
      if (error instanceof Refused) return error.problem;
      throw error;
    }
  }
</script>

<TrueCard
  label="Open {row.name}"
  picture="/of/{row.site}/page-pictures/{row.page}/{row.picture}"
  current={chosen}
  {open}
  {move}
/>
<div class="flex items-baseline gap-2 pt-1">
  <NameField label="Name of the site" value={row.name} {keep} />
  {#if chosen}<span class="muted text-small whitespace-nowrap">is open</span>{/if}
</div>
<p class="verdict text-small" class:text-warning={row.short} class:text-success={row.good}>
  {row.sentence}
</p>
<p class="muted text-small">
  {row.pages === 1 ? '1 page' : `${row.pages} pages`}, changed {when(row.kept)}{row.live
    ? `, release ${row.live} is live`
    : ''}
</p>
<div class="-ml-2 flex flex-wrap">
  <button type="button" class="quiet act" aria-label="Copy {row.name}" onclick={copy}>Copy</button>
  <button
    type="button"
    class="quiet act"
    disabled={first}
    aria-label="Move {row.name} earlier"
    onclick={() => move(-1)}>Earlier</button
  >
  <button
    type="button"
    class="quiet act"
    disabled={last}
    aria-label="Move {row.name} later"
    onclick={() => move(1)}>Later</button
  >
  <button
    type="button"
    class="quiet act"
    disabled={alone}
    title={alone ? 'There is one site at least' : 'It can be brought back'}
    aria-label="Remove {row.name}"
    onclick={remove}>Remove</button
  >
</div>

<style>
  .verdict {
    min-height: 2.6em;
  }
</style>
