<script lang="ts">
  /** A part of somebody's page as it would look: its selector, where it stands, its pictures, what was not read of it. */
  import type { BroughtRow } from '../api/types';
  import UnreadList from './UnreadList.svelte';

  type Props = {
    row: BroughtRow;
    picture: string;
    /** The name of the area that it would lie on. */
    on: string;
    busy: boolean;
    lay: (as_band: boolean) => void;
  };
  let { row, picture, on, busy, lay }: Props = $props();
  const lost = $derived(row.pictures.filter((p) => p.name === null));
  const forgiven = $derived(row.pictures.filter((p) => p.name !== null && p.said));
</script>

<article aria-label={row.selector} class="flex flex-col gap-1">
  <img src={picture} alt="{row.selector}, as it would look" width="480" height="200" />
  <p class="flex items-baseline gap-2">
    <b class="min-w-0 truncate" title={row.selector}>{row.selector}</b>
    <span class="muted shrink-0 text-small">{row.sheet}, line {row.line}</span>
  </p>
  {#if row.words.length > 0}
    <p class="muted truncate text-small" title={row.words.join(' · ')}>{row.words.join(' · ')}</p>
  {/if}
  {#each lost as one (one.address)}
    <p class="text-small text-warning" title={one.address}>Left out: {one.said}. Bring it with the files.</p>
  {/each}
  {#each forgiven as one (one.address)}
    <p class="muted text-small" title={one.address}>{one.said}.</p>
  {/each}
  {#if row.unread.length > 0}
    <details class="text-small">
      <summary class="cursor-pointer"
        >{row.unread.length === 1
          ? '1 thing was not read, or only nearly'
          : `${row.unread.length} things were not read, or only nearly`}</summary
      >
      <UnreadList rows={row.unread} />
    </details>
  {/if}
  <div class="-ml-2 flex flex-wrap">
    <button
      type="button"
      class="quiet act"
      disabled={busy || on === ''}
      title="What lies behind {on} becomes this; its words stay"
      aria-label="Lay on {on}: {row.selector}"
      onclick={() => lay(false)}>Lay on {on}</button
    >
    <button
      type="button"
      class="quiet act"
      disabled={busy || on === ''}
      title="A new band below, with its words"
      aria-label="As a band of its own: {row.selector}"
      onclick={() => lay(true)}>As a band of its own</button
    >
  </div>
</article>

<style>
  img {
    display: block;
    width: 100%;
    height: auto;
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 26%, transparent);
  }
</style>
