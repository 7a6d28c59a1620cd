<script lang="ts">
  /** For which screen the setting beside it is made. */
  import { useBench } from '../state/context';

  let { label }: { label: string } = $props();
  const { doc, selection } = useBench();
</script>

<select
  class="field w-[118px] shrink-0 text-small"
  aria-label={label}
  value={selection.scope ?? ''}
  onchange={(e) => selection.scopeTo(e.currentTarget.value || null)}
>
  <option value="">every screen</option>
  {#each doc.screens as screen (screen.id)}<option value={screen.id}>{screen.name}</option>{/each}
</select>
