<script lang="ts">
  /** How a variable font of one's own is set: one of its named instances, and each of its axes. */
  import type { Block, Font } from '../api/types';
  import NumberField from '../parts/NumberField.svelte';
  import { editorOf } from '../state/editor';

  const REGISTERED = ['wdth', 'slnt', 'ital', 'opsz'];
  /** So many axes are beside the words; more are folded. */
  const AT_HAND = 3;
  const BY_ITSELF: Record<string, number> = { wdth: 100, slnt: 0, ital: 0 };

  type Axis = Font['axes'][number];
  let { block, font }: { block: Block; font: Font } = $props();

  const lettering = $derived(block.lettering ?? {});
  const axes = $derived(lettering.axes ?? {});
  /** The weight has a setting of its own; the optical size goes by the size unless it is said. */
  const others = $derived(
    font.axes.filter((axis) => axis.tag !== 'wght' && (axis.tag !== 'opsz' || 'opsz' in axes)),
  );
  const ranked = $derived(
    others.toSorted((a, b) => Number(REGISTERED.includes(b.tag)) - Number(REGISTERED.includes(a.tag))),
  );
  const first = $derived(ranked.filter((axis, n) => n < AT_HAND || axis.tag in axes));
  const rest = $derived(others.filter((axis) => !first.includes(axis)));

  /** What an axis is set to of which nothing is said. */
  const itself = (axis: Axis) => Math.min(axis.most, Math.max(axis.least, BY_ITSELF[axis.tag] ?? axis.usual));

  const to = editorOf((chosen) => chosen.blockTarget(block.id));
  const set = (tag: string, value: number) => ({ 'lettering/axes': { ...axes, [tag]: value } });

  const same = (one: Record<string, number>, other: Record<string, number>) =>
    JSON.stringify(Object.entries(one).toSorted()) === JSON.stringify(Object.entries(other).toSorted());
  const instance = $derived(
    font.instances.findIndex((i) => i.weight === lettering.weight && same(i.axes ?? {}, axes)),
  );
  const step = (least: number, most: number) => (most - least > 20 ? 1 : most - least > 2 ? 0.1 : 0.01);
</script>

{#snippet field(axis: Axis)}
  <div class="w-[92px]">
    <NumberField
      label={axis.name}
      value={axes[axis.tag] ?? itself(axis)}
      unit=""
      least={axis.least}
      most={axis.most}
      step={step(axis.least, axis.most)}
      show={(value) => to.show(set(axis.tag, value))}
      keep={(value) => to.keep(set(axis.tag, value), `${axis.name} ${value}`)}
    />
  </div>
{/snippet}

<div class="flex flex-wrap items-end gap-x-3 gap-y-2">
  {#if font.instances.length > 0}
    <label class="w-[190px]">
      <span class="muted block pb-0.5 text-small">Named style</span>
      <select
        class="field w-full"
        value={instance}
        onchange={(e) => {
          const chosen = font.instances[Number(e.currentTarget.value)];
          if (chosen)
            void to.keep(
              { 'lettering/weight': chosen.weight, 'lettering/axes': chosen.axes ?? {} },
              `Style ${chosen.name}`,
            );
        }}
      >
        {#if instance < 0}<option value={-1}>as set here</option>{/if}
        {#each font.instances as one, n (n)}<option value={n}>{one.name}</option>{/each}
      </select>
    </label>
  {/if}
  {#each first as axis (axis.tag)}{@render field(axis)}{/each}
  {#if Object.keys(axes).length > 0}
    <button
      type="button"
      class="quiet act"
      onclick={() => void to.keep({ 'lettering/axes': {} }, 'Axes as the font has them')}
      >As the font has them</button
    >
  {/if}
</div>
{#if rest.length > 0}
  <details>
    <summary class="quiet act w-max">{rest.length} more axes</summary>
    <div class="flex flex-wrap gap-x-3 gap-y-2 pt-1">
      {#each rest as axis (axis.tag)}{@render field(axis)}{/each}
    </div>
  </details>
{/if}
