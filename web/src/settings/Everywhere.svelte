<script lang="ts">
  /** The same overlay on every page: the one strength that serves them all, told first, kept as one step. */
  import type { Everywhere, Operation } from '../api/types';
  import { given } from '../state/target';
  import { useBench } from '../state/context';

  let { found }: { found: Everywhere | null } = $props();
  const { doc, edits, findings } = useBench();
  const long = findings.everywhere;
  const pages = $derived(found?.pages.length ?? 0);
  const without = $derived(found?.without ?? []);

  function keep({ opacity, patch }: Everywhere): void {
    void edits.keep(
      given(patch as Operation[], doc.state?.document),
      `${Math.round(opacity * 100)} % on ${pages === 1 ? '1 page' : `${pages} pages`}`,
    );
  }
</script>

<div class="least-strength" class:fails={found?.suffices === false} role="status">
  {#if found}
    <p>
      {found.sentence}
      {#if without.length > 0}
        <span class="muted text-small" title={without.join(', ')}
          >{without.length === 1
            ? `${without[0]} has no such layer.`
            : `${without.length} pages have no such layer.`}</span
        >
      {/if}
    </p>
    <div class="flex flex-none flex-col items-end gap-1">
      {#if pages === 0}
        <span class="muted whitespace-nowrap">It is so already.</span>
      {:else}
        <button
          type="button"
          class="btn btn-primary h-[30px] min-h-0 px-3 whitespace-nowrap"
          title={found.pages.join(', ')}
          onclick={() => keep(found)}
        >
          {pages === 1 ? 'Change 1 page' : `Change ${pages} pages`}
        </button>
      {/if}
      <button type="button" class="quiet act" onclick={() => long.forget()}>This page alone</button>
    </div>
  {:else}
    <span class="muted truncate">Looking at {long.doing || 'every page'} …</span>
    <progress
      class="progress progress-primary w-24"
      max="1"
      value={long.share ?? 0}
      aria-label="How far looking at every page is"
    ></progress>
    <button type="button" class="quiet" onclick={() => long.stop()}>Stop</button>
  {/if}
</div>
