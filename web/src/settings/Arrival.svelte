<script lang="ts">
  /** How words arrive when they first come into sight: once, and not for those who ask for less motion. */
  import type { Block, Entrance } from '../api/types';
  import Choice from '../parts/Choice.svelte';
  import NumberField from '../parts/NumberField.svelte';
  import { editorOf } from '../state/editor';
  import { useBench } from '../state/context';
  import { put } from '../state/target';

  let { block }: { block: Block } = $props();
  const { edits, movement, selection } = useBench();
  const to = editorOf((chosen) => chosen.blockTarget(block.id));

  const WAYS = [
    { value: 'none', name: 'not', note: 'The words are there from the start' },
    { value: 'fade', name: 'fade', note: 'From fainter to full, in place' },
    { value: 'rise', name: 'rise', note: 'From a little below' },
    { value: 'settle', name: 'settle', note: 'From a little above' },
    { value: 'side', name: 'from the side', note: 'From where the lines begin' },
  ] as const;
  const column = $derived(
    selection.areas.find((a) => a.kind === 'column' && a.blocks.some((b) => b.id === block.id)),
  );
  const stagger = $derived(column?.column?.stagger ?? 0);
  const entrance = $derived(block.entrance ?? null);

  const set = (values: Partial<Entrance>) => ({ entrance: { way: 'rise' as const, ...entrance, ...values } });

  async function choose(way: (typeof WAYS)[number]['value']): Promise<void> {
    const problem = await (way === 'none'
      ? to.keep({ entrance: null }, 'Words are there from the start')
      : to.keep(set({ way }), `Words arrive: ${way}`));
    if (!problem && way !== 'none') movement.arrive();
  }

  function oneByOne(value: number) {
    const target = { page: selection.page?.id, area: column?.id };
    const label = value ? `One after the other, ${value} s apart` : 'All at once';
    const kept = edits.keep(put(target, { stagger: value }), label);
    return kept.then((problem) => {
      if (!problem) movement.arrive();
      return problem;
    });
  }
</script>

<div class="flex flex-col gap-2 pt-1">
  <Choice label="Arrive" value={entrance?.way ?? 'none'} options={WAYS} choose={(way) => void choose(way)} />
  {#if entrance}
    <div class="flex flex-wrap items-center gap-x-2 gap-y-1 text-small">
      <span class="muted">takes</span>
      <NumberField
        label="How long it takes"
        hideLabel
        value={entrance.duration ?? 0.7}
        unit="s"
        least={0.1}
        most={4}
        step={0.1}
        width="62px"
        keep={(duration) => to.keep(set({ duration }), `Arrives in ${duration} s`)}
      />
      <span class="muted">begins after</span>
      <NumberField
        label="How long it waits"
        hideLabel
        value={entrance.delay ?? 0}
        unit="s"
        least={0}
        most={10}
        step={0.1}
        width="62px"
        keep={(delay) => to.keep(set({ delay }), `Arrives after ${delay} s`)}
      />
      <button type="button" class="quiet act" onclick={() => movement.arrive()}>See it</button>
    </div>
    <div class="flex flex-wrap items-center gap-x-2 gap-y-1 text-small">
      <span class="muted">each block of the column later than the last by</span>
      <NumberField
        label="How much later each block of the column that arrives begins"
        hideLabel
        value={stagger}
        unit="s"
        least={0}
        most={3}
        step={0.1}
        width="62px"
        keep={oneByOne}
      />
    </div>
    <p class="muted text-small">
      Once, when first in sight; never fainter than two fifths. Under less motion, on paper and in browsers
      that do not know it, the words simply stand there.
    </p>
  {/if}
</div>
