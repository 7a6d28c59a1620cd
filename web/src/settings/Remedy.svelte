<script lang="ts">
  /** The least opacity at which all words can be read, in one sentence, applied with one press: here, or everywhere. */
  import type { Overlay } from '../api/types';
  import { useBench } from '../state/context';
  import Everywhere from './Everywhere.svelte';

  type Props = { overlay: Overlay | null; current: number; apply: (value: number) => void };
  let { overlay, current, apply }: Props = $props();
  const { doc, edits, findings } = useBench();

  const there = $derived(overlay !== null && Math.abs(overlay.nearest - current) < 0.005);
  const several = $derived((doc.site?.pages.length ?? 0) > 1);
  const all = findings.everywhere;
  const everywhere = $derived(all.of(findings.everywhereOf));
</script>

{#if everywhere || all.share !== null}
  <Everywhere found={everywhere} />
{:else}
  <div class="least-strength" class:fails={overlay !== null && overlay.opacity === null} role="status">
    {#if overlay}
      {@const { layer } = overlay}
      <p>
        {there && overlay.opacity !== null
          ? 'This is the least with which every word here can be read on every screen.'
          : overlay.sentence}
        {#if overlay.beyond}<span class="muted text-small">{overlay.beyond}</span>{/if}
      </p>
      <div class="flex flex-none flex-col items-end gap-1">
        {#if !there}
          <button
            type="button"
            class={overlay.opacity === 0 ? 'quiet act' : 'btn btn-primary h-[30px] min-h-0 px-3'}
            onclick={() => apply(overlay.nearest)}
          >
            {overlay.opacity === null ? 'Go nearest' : `Make it ${Math.round(overlay.nearest * 100)} %`}
          </button>
        {/if}
        {#if several}
          <button
            type="button"
            class="quiet act"
            title="The one strength with which this layer serves every page that has it"
            onclick={() => void edits.kept().then(() => findings.lookEverywhere(layer))}
            >For the whole site …</button
          >
        {/if}
      </div>
    {:else}
      <p class="muted">Looking for the least strength with which every word can be read …</p>
    {/if}
  </div>
{/if}
