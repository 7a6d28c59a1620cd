<script lang="ts">
  /** How far long work is, what it is at, and a way to stop it. */
  type Props = { label: string; share: number; doing?: string; stop?: () => void };
  let { label, share, doing = '', stop }: Props = $props();
</script>

<div class="flex min-w-0 items-center gap-2 text-small">
  <progress class="progress progress-primary w-28 shrink-0" aria-label={label} max="1" value={share}
  ></progress>
  <span class="w-10 shrink-0">{Math.round(share * 100)} %</span>
  {#if stop}<button type="button" class="quiet act shrink-0" onclick={stop}>Stop</button>{/if}
  <span class="muted truncate" title={doing}>{doing}</span>
</div>
