<script lang="ts">
  /** A picture among the words: which one, cut for which slot, and what it says to those who cannot see it. */
  import type { Block } from '../../api/types';
  import Field from '../../parts/Field.svelte';
  import { editorOf } from '../../state/editor';
  import { useBench } from '../../state/context';
  import { whole } from '../../parts/whole';

  let { block }: { block: Block } = $props();
  const { doc } = useBench();
  const to = editorOf((chosen) => chosen.blockTarget(block.id));
</script>

<div class="flex flex-col gap-2.5">
  <div class="grid grid-cols-2 gap-2">
    <label class="min-w-0">
      <span class="muted block pb-0.5 text-small">Picture</span>
      <select
        {@attach whole}
        class="field w-full"
        value={block.asset}
        onchange={(e) => void to.keep({ asset: e.currentTarget.value }, 'Another picture')}
      >
        {#each doc.site?.assets ?? [] as asset (asset.id)}<option value={asset.id}>{asset.name}</option
          >{/each}
      </select>
    </label>
    <label class="min-w-0">
      <span class="muted block pb-0.5 text-small">Cut for</span>
      <select
        {@attach whole}
        class="field w-full"
        value={block.slot ?? ''}
        onchange={(e) => void to.keep({ slot: e.currentTarget.value || null }, 'Another slot')}
      >
        <option value="">its own proportion</option>
        {#each doc.site?.slots ?? [] as slot (slot.id)}
          <option value={slot.id}>{slot.name}, {slot.width} × {slot.height}</option>
        {/each}
      </select>
    </label>
  </div>
  <Field
    label="For those who cannot see it"
    value={block.wording ?? ''}
    keep={(text) => to.keep({ wording: text }, 'Words for the picture')}
  />
  <Field
    label="Greatest width"
    value={block.width ?? 'all'}
    note="px, rem or %; all: as wide as its column"
    keep={(text) => to.keep({ width: text === 'all' || !text ? null : text }, `Width ${text}`)}
  />
</div>
