<script lang="ts">
  /** What was not read of a stylesheet: where it stands, why, and what it was read as. */
  import type { UnreadRow } from '../api/types';

  let { rows }: { rows: UnreadRow[] } = $props();
</script>

<ul class="text-small">
  {#each rows as row, n (n)}
    <li class="border-t border-base-300 py-1">
      <span class="muted">{row.sheet} {row.line}:{row.column}</span>
      <code>{row.what}</code>
      <span class="block">{row.why}{row.nearest ? `; read as ${row.nearest}` : ''}.</span>
    </li>
  {/each}
</ul>

<style>
  code {
    font-family: ui-monospace, monospace;
    overflow-wrap: anywhere;
  }
</style>
