<script lang="ts">
  /** The keys, in a list that opens under the top bar. */
  import { SHORTCUTS } from '../keys';
  import Panel from './Panel.svelte';
</script>

<Panel name="keys" label="Keys" width={350}>
  {#snippet opener(props)}
    <button {...props} type="button" class="quiet" title="All keys (?)">Keys</button>
  {/snippet}
  {#snippet children(close)}
    <div class="flex items-center justify-between pb-2">
      <h2 class="display-face text-title">Keys</h2>
      <button type="button" class="quiet act" onclick={close}>Close</button>
    </div>
    <dl class="grid grid-cols-[110px_1fr] gap-y-1">
      {#each SHORTCUTS as { keys, what } (keys)}
        <dt class="font-semibold">{keys}</dt>
        <dd>{what}</dd>
      {/each}
    </dl>
  {/snippet}
</Panel>
