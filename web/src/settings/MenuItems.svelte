<script lang="ts">
  /** The entries of a menu: words and where they lead. */
  import type { Block, Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Field from '../parts/Field.svelte';

  let { bench, block }: { bench: Bench; block: Block } = $props();
  const items = $derived(block.items ?? []);
  const path = $derived(`${bench.blockPath(block.id)}/items`);
  const set = (n: number, field: 'wording' | 'link', value: string): Operation[] => [
    { op: 'add', path: `${path}/${n}/${field}`, value },
  ];
</script>

<ul class="flex flex-col gap-1" aria-label="Entries of the menu">
  {#each items as item, n (n)}
    <li class="grid grid-cols-[1fr_1fr_auto] gap-1.5">
      <Field
        label="Entry {n + 1}"
        hideLabel
        value={item.wording}
        show={(text) => text && bench.show(set(n, 'wording', text))}
        keep={(text) => bench.keep(set(n, 'wording', text), `Entry ${text}`)}
      />
      <Field
        label="Link of entry {n + 1}"
        hideLabel
        value={item.link ?? '#'}
        keep={(text) => bench.keep(set(n, 'link', text), `Link to ${text}`)}
      />
      <button
        type="button"
        class="quiet"
        aria-label="Remove {item.wording}"
        onclick={() => void bench.keep([{ op: 'remove', path: `${path}/${n}` }], `Remove ${item.wording}`)}
        >×</button
      >
    </li>
  {/each}
</ul>
<button
  type="button"
  class="quiet act self-start"
  onclick={() =>
    void bench.keep(
      [{ op: 'add', path: `${path}/-`, value: { wording: 'New entry', link: '#' } }],
      'Add an entry',
    )}>Add an entry</button
>
