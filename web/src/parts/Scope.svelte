<script lang="ts">
  /** For which screens the settings below are made. */
  import type { Bench } from '../bench/bench.svelte';

  let { bench, differs = [] }: { bench: Bench; differs?: string[] } = $props();
  const name = $props.id();
  const options = $derived([{ id: null, name: 'every screen' }, ...bench.screens]);
</script>

<fieldset class="flex min-w-0 items-center gap-2">
  <legend class="sr-only">Settings for</legend>
  <span class="muted text-[12.5px]" aria-hidden="true">for</span>
  {#each options as option (option.id)}
    <label class="option text-[12.5px]">
      <input
        type="radio"
        {name}
        class="sr-only"
        checked={bench.scope === option.id}
        onchange={() => (bench.scope = option.id)}
      />
      <span>{option.name}</span>
      {#if option.id && differs.includes(option.id)}
        <span class="dot" title="Something differs on this screen"></span>
      {/if}
    </label>
  {/each}
</fieldset>

<style>
  .dot {
    width: 6px;
    height: 6px;
    background: var(--color-primary);
    transform: rotate(45deg);
  }
</style>
