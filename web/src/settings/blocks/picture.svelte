<script lang="ts">
  /** A picture among the words: which one, cut for which slot, and what it says to those who cannot see it. */
  import type { Block } from '../../api/types';
  import Field from '../../parts/Field.svelte';
  import LengthField from '../../parts/LengthField.svelte';
  import { editorOf } from '../../state/editor';
  import { useBench } from '../../state/context';
  import { whole } from '../../parts/whole';

  let { block }: { block: Block } = $props();
  const { doc } = useBench();
  const to = editorOf((chosen) => chosen.blockTarget(block.id));
  const none = (text: string) => (/^0(px|rem|em)?$/.test(text.trim()) || !text.trim() ? null : text);
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
  <div class="grid grid-cols-3 gap-2">
    <Field
      label="Greatest width"
      value={block.width ?? 'all'}
      note="px, rem or %; all: as wide as its column"
      keep={(text) => to.keep({ width: text === 'all' || !text ? null : text }, `Width ${text}`)}
    />
    <LengthField
      label="Clear space"
      value={block.clear ?? '0px'}
      note="px, rem: nothing else comes nearer, as a logo asks for"
      show={(text) => to.show({ clear: none(text) })}
      keep={(text) => to.keep({ clear: none(text) }, `Clear space ${text}`)}
    />
    <Field
      label="Link"
      placeholder="Link to …"
      value={block.link ?? ''}
      note="where a click leads: a page of this site, a path, https:, mailto: or tel:"
      keep={(text) => to.keep({ link: text || null }, text ? `Link to ${text}` : 'No link')}
    />
  </div>
  <label class="flex min-h-7 items-center gap-1.5">
    <input
      type="checkbox"
      class="h-4 w-4"
      checked={block.graphic ?? false}
      onchange={(e) =>
        void to.keep(
          { graphic: e.currentTarget.checked },
          e.currentTarget.checked ? 'Parts to be made out' : 'A picture to look at',
        )}
    />
    <span>its parts have to be made out, as a logo's (3 to 1, in Situations)</span>
  </label>
</div>
