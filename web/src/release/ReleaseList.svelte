<script lang="ts">
  /** All releases, the live one first; an earlier one is put live again, or worked on again. */
  import type { ReleaseRow } from '../api/types';
  import { weight } from '../parts/weight';
  import { when } from '../sites/when';

  type Props = {
    rows: ReleaseRow[];
    busy: boolean;
    /** What is worked on is what is live. */
    same: boolean;
    back: (number: number) => void;
    workOn: (number: number) => void;
  };
  let { rows, busy, same, back, workOn }: Props = $props();
</script>

{#if rows.length > 0}
  <section aria-labelledby="releases">
    <h3 id="releases" class="display-face pb-1 text-title">Releases</h3>
    <ol>
      {#each rows as row, n (row.number)}
        <li class="border-t border-base-300 py-1.5">
          <p class="flex items-baseline gap-2">
            <b>{row.number}{row.back ? `, as ${row.back}` : ''}</b>
            <span class="muted text-small">{when(row.made)}, {row.files} files, {weight(row.bytes)}</span>
            {#if n === 0}<span class="ml-auto text-small text-success">live</span>{/if}
          </p>
          <p class="text-small" class:text-warning={row.short > 0 || row.lost > 0}>{row.sentence}</p>
          <div class="-ml-2">
            {#if n > 0}
              <button
                type="button"
                class="quiet act"
                disabled={busy}
                title="As a new release; what you work on stays as it is"
                aria-label="Put release {row.number} live again"
                onclick={() => back(row.number)}>Put live again</button
              >
            {/if}
            {#if n > 0 || !same}<button
                type="button"
                class="quiet act"
                title="Puts it in place of what is worked on, as one step; what is live stays"
                aria-label="Work on release {row.number} again"
                onclick={() => workOn(row.number)}>Work on it again</button
              >{/if}
          </div>
        </li>
      {/each}
    </ol>
  </section>
{/if}
