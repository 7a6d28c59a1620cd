<script lang="ts">
  /** The size of the letters, everywhere or on one screen, and whether the block is shown there. */
  import type { Block, Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Differs from '../parts/Differs.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeLength } from '../parts/lengths';

  let { bench, block }: { bench: Bench; block: Block } = $props();

  const own = $derived(bench.scope ? block.screens?.[bench.scope] : undefined);
  const size = $derived(own?.size ?? block.lettering?.size ?? '17px');
  const visible = $derived(own?.visible ?? block.visible ?? true);

  function set(field: 'size' | 'visible', value: unknown): Operation[] {
    const path = bench.blockPath(block.id);
    if (!bench.scope)
      return [{ op: 'add', path: `${path}/${field === 'size' ? 'lettering/size' : 'visible'}`, value }];
    const screens = { ...block.screens, [bench.scope]: { ...own, [field]: value } };
    return [{ op: 'add', path: `${path}/screens`, value: screens }];
  }
</script>

<div class="flex items-center gap-2">
  <span class="muted w-[68px] shrink-0 text-[13px]" aria-hidden="true">Size</span>
  <Field
    label="Size"
    hideLabel
    value={size}
    nudge={nudgeLength}
    note="px, rem, or growing with the screen: clamp(34px, 5vw, 72px)"
    show={(text) => bench.show(set('size', text))}
    keep={(text) => bench.keep(set('size', text), `Size ${text}`)}
  />
  <select
    class="field w-[118px] shrink-0 text-[12.5px]"
    aria-label="Size and showing for"
    value={bench.scope ?? ''}
    onchange={(e) => (bench.scope = e.currentTarget.value || null)}
  >
    <option value="">every screen</option>
    {#each bench.screens as screen (screen.id)}<option value={screen.id}>{screen.name}</option>{/each}
  </select>
  <label class="flex shrink-0 items-center gap-1.5">
    <input
      type="checkbox"
      class="h-4 w-4"
      checked={visible}
      onchange={(e) =>
        void bench.keep(set('visible', e.currentTarget.checked), e.currentTarget.checked ? 'Show' : 'Hide')}
    />
    <span>shown</span>
  </label>
  <Differs {bench} item={block} fields={['size', 'visible']} />
</div>
