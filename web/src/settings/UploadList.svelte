<script lang="ts">
  import type { Uploads } from '../state/uploads.svelte';

  let { uploads }: { uploads: Uploads } = $props();
</script>

{#each uploads.list as upload (upload.id)}
  {#if upload.problem}
    <div role="alert" class="problem">
      <span>{upload.problem}</span>
      <button type="button" class="quiet act" onclick={() => uploads.dismiss(upload.id)}>Close</button>
    </div>
  {:else}
    <div class="flex items-center gap-2 text-small">
      <span class="min-w-0 flex-1 truncate">{upload.name}</span>
      <progress
        class="progress progress-primary w-20"
        aria-label="Bringing {upload.name}"
        max="1"
        value={upload.done}
      ></progress>
      <span class="w-16">{upload.done < 1 ? `${Math.round(upload.done * 100)} %` : 'checking'}</span>
      <button type="button" class="quiet act" onclick={upload.stop}>Stop</button>
    </div>
  {/if}
{/each}

<style>
  .problem {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    margin-top: 8px;
    padding-left: 8px;
    border-left: 4px solid var(--color-error);
    color: var(--color-error);
    font-size: var(--text-small);
    line-height: 1.3;
  }
</style>
