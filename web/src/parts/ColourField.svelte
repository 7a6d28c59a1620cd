<script lang="ts">
  /** A colour: its well opens the whole control; beside it hex and the site's palette. */
  import type { Problem } from '../api/types';
  import { useBench } from '../state/context';
  import ColourPanel from './ColourPanel.svelte';
  import Field from './Field.svelte';
  import Panel from './Panel.svelte';

  type Props = {
    label: string;
    value: string;
    show: (colour: string) => void;
    keep: (colour: string) => Promise<Problem | null>;
    /** The words whose contrast is told while their colour is chosen. */
    words?: string | null;
    /** Without the palette beside it, where there is little room. */
    tight?: boolean;
  };
  let { label, value, show, keep, words = null, tight = false }: Props = $props();
  const { doc, eyedropper } = useBench();
  const name = $derived(`colour-${label.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-')}`);

  function choose(colour: string): Promise<Problem | null> {
    eyedropper.used(colour);
    return keep(colour);
  }
</script>

<div class="flex min-w-0 items-center gap-2" role="group" aria-label={label}>
  <span class="muted shrink-0 text-small {tight ? '' : 'w-[68px]'}">{label}</span>
  <Panel {name} label="{label}: the whole control" width={406} closed={() => eyedropper.leave()}>
    {#snippet opener(props)}
      <button
        {...props}
        type="button"
        class="well chequered"
        aria-label="{label}: choose"
        title="Choose a colour"
      >
        <span class="absolute inset-0" style:background={value}></span>
      </button>
    {/snippet}
    <ColourPanel {label} {value} {show} keep={choose} {words} />
  </Panel>
  <Field
    label="{label}, hexadecimal"
    hideLabel
    width={tight ? '86px' : '92px'}
    {value}
    keep={choose}
    {show}
    maxlength={60}
  />
  {#if !tight}
    <div class="flex min-w-0 flex-1 gap-1 overflow-hidden py-0.5 pl-0.5">
      {#each doc.palette as colour (colour)}
        <button
          type="button"
          class="dab"
          style:background={colour}
          aria-label="{label}: {colour}"
          aria-pressed={colour === value}
          title={colour}
          onclick={() => void choose(colour)}
        ></button>
      {/each}
    </div>
  {/if}
</div>

<style>
  .well {
    position: relative;
    width: 40px;
    height: 28px;
    flex: none;
    border: 1px solid var(--color-base-300);
    border-radius: var(--radius-field);
    overflow: hidden;
    cursor: pointer;
  }
  .dab {
    flex: 1 1 28px;
    max-width: 28px;
    min-width: 18px;
    height: 28px;
    border: 1px solid var(--color-neutral);
    cursor: pointer;
  }
  .dab[aria-pressed='true'] {
    box-shadow:
      inset 0 0 0 2px var(--color-base-100),
      0 0 0 1px var(--color-base-content);
  }
</style>
