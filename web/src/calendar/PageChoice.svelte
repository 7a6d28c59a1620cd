<script lang="ts">
  /** A choice of pages that a rule is about: those of a kind, or a single one; `kind NAME` or `page ID`. */
  import type { CalendarFound } from '../api/types';
  import { useBench } from '../state/context';

  type Props = { label: string; found: CalendarFound; value: string; choose: (value: string) => void };
  let { label, found, value, choose }: Props = $props();
  const { doc } = useBench();
</script>

<select aria-label={label} {value} onchange={(e) => choose(e.currentTarget.value)}>
  <optgroup label="Kinds">
    {#each doc.site?.kinds ?? [] as kind (kind)}<option value="kind {kind}">{kind} pages</option>{/each}
  </optgroup>
  <optgroup label="Pages">
    {#each found.pages as page (page.page)}<option value="page {page.page}">{page.title}</option>{/each}
  </optgroup>
</select>

<style>
  select {
    min-height: 28px;
    padding: 0 4px;
    background: var(--color-base-100);
    cursor: pointer;
  }
</style>
