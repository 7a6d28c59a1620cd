<script lang="ts">
  /** The frame of what can be done: its name, what it keeps. Resting on it shows it on all screens; by touch it stays until
   *  another is tapped. */
  import type { Snippet } from 'svelte';
  import type { Remedy } from '../api/types';
  import { useBench } from '../state/context';

  type Props = { way: { title: string; kept: number; patch: Remedy['patch'] }; children: Snippet };
  let { way, children }: Props = $props();
  const { ways } = useBench();
</script>

<article
  class="card"
  aria-label={way.title}
  onpointerenter={() => ways.try(way)}
  onpointerleave={(event) => event.pointerType !== 'touch' && ways.leave()}
  onfocusin={() => ways.try(way)}
  onfocusout={() => ways.leave()}
>
  <div class="flex items-baseline justify-between gap-2">
    <h3 class="truncate font-semibold">{way.title}</h3>
    <span class="muted text-small whitespace-nowrap" title="How much of the picture stays as it is now"
      >keeps {way.kept} %</span
    >
  </div>
  <div class="kept" aria-hidden="true"><div style:width="{way.kept}%"></div></div>
  {@render children()}
</article>

<style>
  .card {
    display: flex;
    flex-direction: column;
    gap: 4px;
    width: 306px;
    height: 100%;
  }
  .kept {
    height: 4px;
    flex: none;
    background: color-mix(in oklab, var(--color-base-content) 18%, transparent);
  }
  .kept div {
    height: 4px;
    background: var(--color-base-content);
    opacity: 0.62;
  }
</style>
