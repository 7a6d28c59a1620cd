<script lang="ts">
  /** For which screens the settings below are made. */
  import { useBench } from '../state/context';

  let { differs = [] }: { differs?: string[] } = $props();
  const { doc, selection } = useBench();
  const name = $props.id();
  const options = $derived([{ id: null, name: 'every screen' }, ...doc.screens]);
</script>

<fieldset class="flex min-w-0 items-center gap-2">
  <legend class="sr-only">Settings for</legend>
  <span class="muted text-small" aria-hidden="true">for</span>
  {#each options as option (option.id)}
    <label class="option text-small">
      <input
        type="radio"
        {name}
        class="sr-only"
        checked={selection.scope === option.id}
        onchange={() => selection.scopeTo(option.id)}
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
