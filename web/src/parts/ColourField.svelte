<script lang="ts">
  /** A colour: its well opens the whole control; beside it hex and the site's palette. */
  import type { Problem } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import ColourPanel from './ColourPanel.svelte';
  import Field from './Field.svelte';
  import { besideOpener } from './popover';

  type Props = {
    bench: Bench;
    label: string;
    value: string;
    show: (colour: string) => void;
    keep: (colour: string) => Promise<Problem | null>;
    /** The words whose contrast is told while their colour is chosen. */
    words?: string | null;
    /** Without the palette beside it, where there is little room. */
    tight?: boolean;
  };
  let { bench, label, value, show, keep, words = null, tight = false }: Props = $props();

  const id = $props.id();
  let well = $state<HTMLElement>();
  let open = $state(false);
  let spot = $state({ left: 0, top: 0 });
  const palette = $derived(bench.site?.palette ?? []);

  function choose(colour: string): Promise<Problem | null> {
    bench.eyedropper.used(colour);
    return keep(colour);
  }
</script>

<div class="flex min-w-0 items-center gap-2" role="group" aria-label={label}>
  <span class="muted shrink-0 text-[13px] {tight ? '' : 'w-[68px]'}">{label}</span>
  <button
    type="button"
    class="well chequered"
    bind:this={well}
    popovertarget={id}
    aria-label="{label}: choose"
    title="Choose a colour"
  >
    <span class="absolute inset-0" style:background={value}></span>
  </button>
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
      {#each palette as colour (colour)}
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
<div
  {id}
  popover
  class="offer"
  style:left="{spot.left}px"
  style:top="{spot.top}px"
  onbeforetoggle={() => (spot = besideOpener(well, 404, 400))}
  ontoggle={(e) => (open = e.newState === 'open')}
>
  {#if open}
    <ColourPanel {bench} {label} {value} {show} keep={choose} {words} />
  {/if}
</div>

<style>
  .well {
    position: relative;
    width: 40px;
    height: 28px;
    flex: none;
    border: 1px solid var(--color-base-300);
    border-radius: 3px;
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
