<script lang="ts">
  /** A colour: hex, the browser's own picker, and the site's palette. */
  import type { Problem } from '../api/types';
  import Field from './Field.svelte';

  type Props = {
    label: string;
    value: string;
    palette: readonly string[];
    show: (colour: string) => void;
    keep: (colour: string) => Promise<Problem | null>;
  };
  let { label, value, palette, show, keep }: Props = $props();
  const plain = $derived(value.length >= 7 ? value.slice(0, 7) : '#000000');
</script>

<div class="flex items-center gap-2" role="group" aria-label={label}>
  <span class="muted w-[68px] shrink-0 text-[13px]">{label}</span>
  <label class="well chequered" title="Pick any colour">
    <span class="absolute inset-0" style:background={value}></span>
    <input
      type="color"
      aria-label="{label}: pick"
      value={plain}
      oninput={(e) => show(e.currentTarget.value)}
      onchange={(e) => void keep(e.currentTarget.value)}
    />
  </label>
  <Field label="{label}, hexadecimal" hideLabel width="92px" {value} {keep} {show} maxlength={20} />
  <div class="flex min-w-0 flex-1 gap-1 overflow-hidden py-0.5 pl-0.5">
    {#each palette as colour (colour)}
      <button
        type="button"
        class="dab"
        style:background={colour}
        aria-label="{label}: {colour}"
        aria-pressed={colour === value}
        title={colour}
        onclick={() => void keep(colour)}
      ></button>
    {/each}
  </div>
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
  }
  .well:focus-within {
    outline: 2px solid var(--color-primary);
    outline-offset: 2px;
  }
  .well input {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    opacity: 0;
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
