<script lang="ts">
  /** What something new can begin with, each in a few words. */
  type Props = {
    title: string;
    starts: { start: string; name: string; note: string }[];
    off?: boolean;
    begin: (start: string) => void;
  };
  let { title, starts, off = false, begin }: Props = $props();
</script>

<p class="font-semibold">{title}</p>
{#each starts as start (start.start)}
  <button type="button" class="start" disabled={off} onclick={() => begin(start.start)}>
    <b>{start.name}</b> <span class="muted">{start.note}</span>
  </button>
{/each}

<style>
  .start {
    min-height: 24px;
    padding: 3px 0;
    text-align: left;
    cursor: pointer;
  }
  .start b {
    color: var(--color-primary);
  }
  .start:hover b {
    text-decoration: underline;
  }
</style>
