<script lang="ts">
  import BuildUpStrip from '../buildup/BuildUpStrip.svelte';
  import Settings from '../settings/Settings.svelte';
  import AreaPath from './AreaPath.svelte';
  import RemedyStrip from '../remedies/RemedyStrip.svelte';
  import type { Bench } from './bench.svelte';
  import Screens from './Screens.svelte';

  let { bench }: { bench: Bench } = $props();
</script>

<main class="flex min-h-0 flex-1 flex-col">
  <AreaPath {bench} />
  <Screens {bench} />
  {#if bench.ways.open}
    <RemedyStrip {bench} ways={bench.ways} />
  {:else}
    <div
      class="grid h-[296px] shrink-0 grid-cols-[minmax(0,1fr)_minmax(488px,38%)] border-t border-base-300 bg-base-100"
    >
      <BuildUpStrip {bench} />
      <Settings {bench} />
    </div>
  {/if}
</main>
