<script lang="ts">
  /** Whether settings are made for the area at rest or while it is pointed at, and the time the change takes. */
  import type { Bench } from '../bench/bench.svelte';
  import NumberField from '../parts/NumberField.svelte';
  import { fadePatch } from './change';

  let { bench }: { bench: Bench } = $props();
  const name = $props.id();
  const over = $derived(bench.area?.backdrop.over);
  const OPTIONS = [
    { value: false, words: 'at rest' },
    { value: true, words: 'pointer over' },
  ];
</script>

<fieldset class="flex items-center gap-2">
  <legend class="sr-only">As it is</legend>
  {#each OPTIONS as { value, words } (words)}
    <label class="option text-[12.5px]">
      <input
        type="radio"
        {name}
        class="sr-only"
        checked={bench.pointed === value}
        onchange={() => bench.point(value)}
      />
      <span>{words}</span>
      {#if value && over}<span class="dot" title="It has a state of its own then"></span>{/if}
    </label>
  {/each}
  {#if bench.pointed && over}
    <span class="flex items-center gap-1 pl-2">
      <span class="muted text-[12.5px]">takes</span>
      <NumberField
        label="Time the change takes"
        hideLabel
        width="76px"
        value={over.fade ?? 240}
        unit="ms"
        least={0}
        most={5000}
        step={10}
        show={() => {}}
        keep={(fade) => bench.keep(fadePatch(bench, fade), `The change takes ${fade} ms`)}
      />
      <button
        type="button"
        class="quiet act"
        onclick={() =>
          void bench.keep(
            [{ op: 'add', path: `${bench.backdropPath}/over`, value: null }],
            'No change under the pointer',
          )}>Without</button
      >
    </span>
  {:else if bench.pointed}
    <span class="muted text-[12.5px]">A colour or strength set now holds while it is pointed at.</span>
  {/if}
</fieldset>

<style>
  .dot {
    width: 6px;
    height: 6px;
    background: var(--color-primary);
    transform: rotate(45deg);
  }
</style>
