<script lang="ts">
  /** Whether settings are made for the area at rest or while it is pointed at, and the time the change takes. */
  import { RANGES } from '../api/ranges';
  import { within } from '../parts/numbers';
  import NumberField from '../parts/NumberField.svelte';
  import { fadeChange } from './change';
  import { useBench } from '../state/context';
  import { editorOf } from '../state/editor';

  const { edits, selection, sight } = useBench();
  const to = editorOf((chosen) => chosen.target);
  const name = $props.id();
  const over = $derived(selection.area?.backdrop.over);
  const OPTIONS = [
    { value: false, words: 'at rest' },
    { value: true, words: 'pointer over' },
  ];
</script>

<fieldset class="flex items-center gap-2">
  <legend class="sr-only">As it is</legend>
  {#each OPTIONS as { value, words } (words)}
    <label class="option text-small">
      <input
        type="radio"
        {name}
        class="sr-only"
        checked={sight.pointed === value}
        onchange={() => sight.point(value)}
      />
      <span>{words}</span>
      {#if value && over}<span class="dot" title="It has a state of its own then"></span>{/if}
    </label>
  {/each}
  {#if sight.pointed && over}
    <span class="flex items-center gap-1 pl-2">
      <span class="muted text-small">takes</span>
      <NumberField
        label="Time the change takes"
        hideLabel
        width="76px"
        value={over.fade ?? 240}
        unit="ms"
        {...within(RANGES.Over.fade)}
        step={10}
        keep={(fade) => edits.keep(fadeChange(to.target, fade), `The change takes ${fade} ms`)}
      />
      <button
        type="button"
        class="quiet act"
        onclick={() => void to.keep({ 'backdrop/over': null }, 'No change under the pointer')}>Without</button
      >
    </span>
  {:else if sight.pointed}
    <span class="muted text-small">A colour or strength set now holds while it is pointed at.</span>
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
