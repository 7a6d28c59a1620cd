<script lang="ts">
  /** A picture among the words: which one, cut for which slot, and what it says to those who cannot see it. */
  import type { Block, Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Field from '../parts/Field.svelte';

  let { bench, block }: { bench: Bench; block: Block } = $props();
  const path = $derived(bench.blockPath(block.id));
  const set = (field: string, value: unknown): Operation[] => [
    { op: 'add', path: `${path}/${field}`, value },
  ];
</script>

<div class="flex flex-col gap-2.5">
  <div class="grid grid-cols-2 gap-2">
    <label class="min-w-0">
      <span class="muted block pb-0.5 text-[12px]">Picture</span>
      <select
        class="field w-full"
        value={block.asset}
        onchange={(e) => void bench.keep(set('asset', e.currentTarget.value), 'Another picture')}
      >
        {#each bench.site?.assets ?? [] as asset (asset.id)}<option value={asset.id}>{asset.name}</option
          >{/each}
      </select>
    </label>
    <label class="min-w-0">
      <span class="muted block pb-0.5 text-[12px]">Cut for</span>
      <select
        class="field w-full"
        value={block.slot ?? ''}
        onchange={(e) => void bench.keep(set('slot', e.currentTarget.value || null), 'Another slot')}
      >
        <option value="">its own proportion</option>
        {#each bench.site?.slots ?? [] as slot (slot.id)}
          <option value={slot.id}>{slot.name}, {slot.width} × {slot.height}</option>
        {/each}
      </select>
    </label>
  </div>
  <Field
    label="For those who cannot see it"
    value={block.wording ?? ''}
    keep={(text) => bench.keep(set('wording', text), 'Words for the picture')}
  />
  <Field
    label="Greatest width"
    value={block.width ?? 'all'}
    note="px, rem or %; all: as wide as its column"
    keep={(text) => bench.keep(set('width', text === 'all' || !text ? null : text), `Width ${text}`)}
  />
</div>
