<script lang="ts">
  import { SHORTCUTS } from '../keys';

  let { close }: { close: () => void } = $props();
</script>

<aside aria-label="Keys" class="fixed top-11 right-6 z-50 w-[330px] border border-base-300 bg-base-100 p-4">
  <div class="flex items-center justify-between pb-2">
    <h2 class="display-face text-[16px]">Keys</h2>
    <button type="button" class="quiet act" onclick={close}>Close</button>
  </div>
  <dl class="grid grid-cols-[110px_1fr] gap-y-1">
    {#each SHORTCUTS as { keys, what } (keys)}
      <dt class="font-semibold">{keys}</dt>
      <dd>{what}</dd>
    {/each}
  </dl>
</aside>
