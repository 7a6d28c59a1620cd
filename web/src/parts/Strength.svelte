<script lang="ts">
  /** An opacity from 0 to 100 % on a track that is the layer itself, from nothing to full; a tick where words can be read. */
  import type { Problem } from '../api/types';
  import NumberField from './NumberField.svelte';
  import Track from './Track.svelte';

  type Props = {
    label: string;
    value: number;
    /** A CSS background: the layer at full strength. */
    ink: string;
    tick?: number | null;
    show: (value: number) => void;
    keep: (value: number) => Promise<Problem | null> | void;
  };
  let { label, value, ink, tick = null, show, keep }: Props = $props();

  const id = $props.id();
  const enough = $derived(tick !== null && value >= tick ? ', every word can be read' : '');
</script>

<div class="flex items-center gap-2">
  <label for={id} class="muted w-[68px] shrink-0 text-small">{label}</label>
  <div class="track chequered">
    <div class="ink" style:background={ink}></div>
    {#if tick !== null}
      <div
        class="tick"
        style:left="{tick * 100}%"
        title="From {Math.round(tick * 100)} % every word can be read"
      ></div>
    {/if}
    <Track {id} {value} said={enough} {show} {keep} />
  </div>
  <NumberField
    label="{label} in %"
    hideLabel
    align="right"
    width="62px"
    value={Math.round(value * 100)}
    unit="%"
    least={0}
    most={100}
    show={(percent) => show(percent / 100)}
    keep={(percent) => keep(percent / 100)}
  />
</div>

<style>
  .track {
    position: relative;
    flex: 1;
    height: 20px;
    border: 1px solid var(--color-base-300);
  }
  .ink {
    position: absolute;
    inset: 0;
    mask-image: linear-gradient(to right, transparent, black);
  }
  .tick {
    position: absolute;
    top: -6px;
    bottom: -6px;
    width: 3px;
    margin-left: -1.5px;
    background: var(--color-success);
    outline: 1px solid var(--color-base-100);
    pointer-events: none;
  }
  .track :global(input[type='range']) {
    position: absolute;
    inset: -4px -6px;
    width: calc(100% + 12px);
    height: 28px;
    appearance: none;
    background: transparent;
    cursor: ew-resize;
  }
  .track :global(input[type='range']::-webkit-slider-thumb) {
    appearance: none;
    width: 12px;
    height: 28px;
    background: var(--color-base-100);
    border: 2.5px solid var(--color-base-content);
    border-radius: var(--radius-field);
  }
  .track :global(input[type='range']::-moz-range-thumb) {
    width: 8px;
    height: 24px;
    background: var(--color-base-100);
    border: 2.5px solid var(--color-base-content);
    border-radius: var(--radius-field);
  }
</style>
