<script lang="ts">
  /** What happened, what was kept, what to do: one line under the top bar. */
  import { useBench } from '../state/context';

  const { notices } = useBench();
</script>

{#if notices.notice}
  <div
    class="notice"
    role={notices.notice.tone === 'short' ? 'alert' : 'status'}
    data-tone={notices.notice.tone}
  >
    <span>{notices.notice.text}</span>
    <button type="button" class="quiet act" onclick={() => notices.clear()}>Close</button>
  </div>
{/if}

<style>
  .notice {
    display: flex;
    flex: none;
    align-items: center;
    justify-content: space-between;
    gap: 16px;
    padding: 2px 24px;
    background: var(--color-base-100);
    border-bottom: 1px solid var(--color-base-300);
    border-left: 6px solid var(--color-info);
  }
  .notice[data-tone='short'] {
    border-left-color: var(--color-error);
    color: var(--color-error);
  }
</style>
