<script lang="ts">
  /** Keeps the whole backdrop under a name, or puts a kept one here. */
  import type { Bench } from '../bench/bench.svelte';

  let { bench }: { bench: Bench } = $props();
  const looks = $derived(bench.site?.looks ?? []);
  const where = $derived({ page: bench.page?.id ?? '', area: bench.area?.id ?? '' });
</script>

<span class="ml-auto flex shrink-0 items-center">
  {#if looks.length > 0}
    <select
      class="quiet"
      style:background="transparent"
      aria-label="Put a saved look here"
      value=""
      onchange={(e) => {
        const look = e.currentTarget.value;
        e.currentTarget.value = '';
        void bench.edit({ kind: 'lay-look', ...where, look }, (card) => bench.chooseCard(card));
      }}
    >
      <option value="">Put a look here …</option>
      {#each looks as look (look.id)}<option value={look.id}>{look.name}</option>{/each}
    </select>
  {/if}
  <button
    type="button"
    class="quiet"
    disabled={bench.layers.length === 0}
    title="Keep this whole backdrop, to put it behind another area or page"
    onclick={() => void bench.edit({ kind: 'save-look', ...where, name: `${bench.area?.name ?? 'A'} look` })}
    >Save as a look</button
  >
</span>
