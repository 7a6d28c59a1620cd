<script lang="ts">
  /** How words arrive when they first come into sight: once, and not for those who ask for less motion. */
  import type { Block, Entrance } from '../api/types';
  import Choice from '../parts/Choice.svelte';
  import SecondsField from '../parts/SecondsField.svelte';
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
      <SecondsField
        said="takes"
        label="How long it takes"
        value={entrance.duration ?? 0.7}
        least={0.1}
        most={4}
        keep={(duration) => to.keep(set({ duration }), `Arrives in ${duration} s`)}
      />
      <SecondsField
        said="begins after"
        label="How long it waits"
        value={entrance.delay ?? 0}
        most={10}
        keep={(delay) => to.keep(set({ delay }), `Arrives after ${delay} s`)}
      />
      <button type="button" class="quiet act" onclick={() => movement.arrive()}>See it</button>
    </div>
    <div class="flex flex-wrap items-center gap-x-2 gap-y-1 text-small">
      <SecondsField
        said="each block of the column later than the last by"
        label="How much later each block of the column that arrives begins"
        value={stagger}
        most={3}
        keep={oneByOne}
      />
    </div>
    <p class="muted text-small">
      Once, when first in sight; never fainter than two fifths. Under less motion, on paper and in browsers
      that do not know it, the words simply stand there.
    </p>
  {/if}
</div>
