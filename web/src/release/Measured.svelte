<script lang="ts">
  /** What the next release would be: how it reads beside the last, what visitors fetch, and what they keep. */
  import type { Look } from '../api/types';
  import { weight } from '../parts/weight';
  import { useBench } from '../state/context';

  const { place, selection } = useBench();
  let { look, stale }: { look: Look; stale: boolean } = $props();
  const worse = $derived(look.compared.filter((row) => !row.better));
  const better = $derived(look.compared.filter((row) => row.better));
  const short = $derived(look.check.rows.filter((row) => row.short > 0));
  const fails = $derived(look.check.short > 0 || look.check.lost.length > 0);
  const title = (page: string) => look.weights.find((row) => row.page === page)?.title ?? '';
  const pages = $derived([...new Set(look.weights.map((row) => row.page))]);
  const screens = $derived([...new Map(look.weights.map((row) => [row.screen, row.name])).entries()]);
  const of = (page: string, screen: string) =>
    look.weights.find((row) => row.page === page && row.screen === screen);
  function open(page: string, block: string): void {
    selection.choosePage(page);
    selection.chooseBlock(block.split('/')[0] ?? block);
    place.go('bench');
  }

  const files = (count: number) => (count === 1 ? '1 file' : `${count} files`);
</script>

<div class="flex flex-col gap-3" class:stale aria-busy={stale}>
  <p class={fails ? 'text-warning' : look.check.good ? 'text-success' : ''}>
    {look.check.sentence}
  </p>
  {#if short.length > 0}
    <ul class="text-small">
      {#each short as row (row.page + row.block)}
        <li class="flex items-baseline gap-2">
          <span class="min-w-0 truncate" title="{title(row.page)}: {row.words}"
            >{title(row.page)}: {row.words}</span
          >
          <span class="muted ml-auto shrink-0" title="The faintest, {row.where}"
            >{row.ratio === null ? '' : `${Math.floor(row.ratio * 10) / 10} of ${row.required}`}</span
          >
          <button
            type="button"
            class="quiet act shrink-0"
            aria-label="Show {row.words} on the bench"
            onclick={() => open(row.page, row.block)}>Show</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if look.check.lost.length > 0}
    <div>
      <h3 class="pb-0.5 font-semibold">Lost, because it does not fit</h3>
      <ul class="text-small">
        {#each look.check.lost as row (row.page + row.block + row.misfit)}
          <li class="flex items-baseline gap-2">
            <span class="min-w-0 truncate" title="{row.sentence} ({row.where})"
              >{title(row.page)}: {row.words}</span
            >
            <span
              class="muted ml-auto shrink-0"
              title="First in {row.where}; in {row.layouts === 1 ? 'one layout' : `${row.layouts} layouts`}"
              >{row.title}</span
            >
            <button
              type="button"
              class="quiet act shrink-0"
              aria-label="Show {row.words} on the bench: {row.title}"
              onclick={() => open(row.page, row.block)}>Show</button
            >
          </li>
        {/each}
      </ul>
    </div>
  {/if}
  {#each [{ name: 'Reads worse', rows: worse }, { name: 'Reads better', rows: better }] as group (group.name)}
    {#if group.rows.length > 0}
      <details open={group.rows.length <= 4}>
        <summary class="cursor-pointer">{group.name}: {group.rows.length}</summary>
        <ul class="pl-4 text-small">
          {#each group.rows as row (row.page + row.block)}<li>{row.sentence}</li>{/each}
        </ul>
      </details>
    {/if}
  {/each}
  <table class="w-full text-small">
    <caption class="muted pb-1 text-left">What a visitor fetches</caption>
    <thead>
      <tr>
        <th scope="col" class="sr-only">Page</th>
        {#each screens as [id, name] (id)}<th scope="col" class="text-right font-semibold">{name}</th>{/each}
      </tr>
    </thead>
    <tbody>
      {#each pages as page (page)}
        <tr class="border-t border-base-300">
          <th scope="row" class="max-w-0 truncate py-0.5 text-left font-normal" title={title(page)}
            >{title(page)}</th
          >
          {#each screens as [id] (id)}
            {@const row = of(page, id)}
            <td class="w-21 py-0.5 pl-2 text-right whitespace-nowrap">
              {row ? weight(row.bytes) : ''}
              {#if row && row.again !== null}
                <span class="muted block" title="With what the last release has left in the browser"
                  >{row.again === 0 ? 'all kept' : `again ${weight(row.again)}`}</span
                >
              {/if}
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
  {#if look.cache}
    <dl class="text-small">
      <dt class="muted pb-0.5">A browser that has everything of the last release</dt>
      <dd>keeps {files(look.cache.kept)}, {weight(look.cache.kept_bytes)}</dd>
      <dd>
        fetches {look.cache.fresh === 1 ? '1 new file' : `${look.cache.fresh} new files`}, {weight(
          look.cache.fresh_bytes,
        )}, as it needs them
      </dd>
      <dd>
        asks about {look.cache.pages === 1 ? '1 page' : `${look.cache.pages} pages`}; {look.cache
          .changed_pages === 0
          ? 'none has'
          : `${look.cache.changed_pages} ${look.cache.changed_pages === 1 ? 'has' : 'have'}`} changed
      </dd>
    </dl>
  {/if}
  <p class="muted text-small">
    {files(look.files)}, {weight(look.bytes)} altogether. Phones are reckoned at two device px per px, other screens
    at one; films play.
  </p>
</div>

<style>
  .stale {
    opacity: 0.6;
  }
</style>
