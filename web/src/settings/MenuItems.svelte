<script lang="ts">
  /** The entries of a menu: words and where they lead. */
  import type { Block } from '../api/types';
  import Field from '../parts/Field.svelte';
  import { editorOf } from '../state/editor';
  import { take } from '../state/target';
  import { useBench } from '../state/context';

  let { block }: { block: Block } = $props();
  const { edits } = useBench();
  const items = $derived(block.items ?? []);
  const to = editorOf((chosen) => chosen.blockTarget(block.id));
</script>

<ul class="flex flex-col gap-1" aria-label="Entries of the menu">
  {#each items as item, n (n)}
    <li class="grid grid-cols-[1fr_1fr_auto] gap-1.5">
      <Field
        label="Entry {n + 1}"
        hideLabel
        value={item.wording}
        show={(text) => text && to.show({ [`items/${n}/wording`]: text })}
        keep={(text) => to.keep({ [`items/${n}/wording`]: text }, `Entry ${text}`)}
      />
      <Field
        label="Link of entry {n + 1}"
        hideLabel
        value={item.link ?? '#'}
        keep={(text) => to.keep({ [`items/${n}/link`]: text }, `Link to ${text}`)}
      />
      <button
        type="button"
        class="quiet"
        aria-label="Remove {item.wording}"
        onclick={() => void edits.keep(take(to.target, `/items/${n}`), `Remove ${item.wording}`)}>×</button
      >
    </li>
  {/each}
</ul>
<button
  type="button"
  class="quiet act self-start"
  onclick={() => void to.keep({ 'items/-': { wording: 'New entry', link: '#' } }, 'Add an entry')}
  >Add an entry</button
>
