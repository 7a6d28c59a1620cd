<script lang="ts">
  /** The size of the letters, everywhere or on one screen, and whether the block is shown there. */
  import type { Block } from '../api/types';
  import Differs from '../parts/Differs.svelte';
  import LengthField from '../parts/LengthField.svelte';
  import ScopeSelect from '../parts/ScopeSelect.svelte';
  import { editorOf, type Values } from '../state/editor';
  import { useBench } from '../state/context';

  let { block }: { block: Block } = $props();
  const { selection } = useBench();

  const own = $derived(selection.scope ? block.screens?.[selection.scope] : undefined);
  const size = $derived(own?.size ?? block.lettering?.size ?? '17px');
  const visible = $derived(own?.visible ?? block.visible ?? true);

  const to = editorOf((chosen) => chosen.blockTarget(block.id));
  const field = (name: 'size' | 'visible') =>
    selection.scope || name === 'visible' ? name : 'lettering/size';
  const show = (values: Values) => to.show(values, selection.scope);
  const keep = (values: Values, label: string) => to.keep(values, label, selection.scope);
</script>

<div class="flex items-center gap-2">
  <span class="muted w-[68px] shrink-0 text-small" aria-hidden="true">Size</span>
  <LengthField
    label="Size"
    hideLabel
    value={size}
    note="px, rem, or growing with the screen: clamp(34px, 5vw, 72px)"
    show={(text) => show({ [field('size')]: text })}
    keep={(text) => keep({ [field('size')]: text }, `Size ${text}`)}
  />
  <ScopeSelect label="Size and showing for" />
  <label class="flex shrink-0 items-center gap-1.5">
    <input
      type="checkbox"
      class="h-4 w-4"
      checked={visible}
      onchange={(e) =>
        void keep({ visible: e.currentTarget.checked }, e.currentTarget.checked ? 'Show' : 'Hide')}
    />
    <span>shown</span>
  </label>
  <Differs item={block} fields={['size', 'visible']} />
</div>
