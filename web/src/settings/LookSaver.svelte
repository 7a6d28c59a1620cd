<script lang="ts">
  /** Keeps the whole backdrop under a name, or puts a kept one here. */
  import { useBench } from '../state/context';

  const { doc, edits, selection } = useBench();
  const looks = $derived(doc.site?.looks ?? []);
  const where = $derived({ page: selection.page?.id ?? '', area: selection.area?.id ?? '' });
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
        void edits.edit({ kind: 'lay-look', ...where, look }, (card) => selection.chooseCard(card));
      }}
    >
      <option value="">Put a look here …</option>
      {#each looks as look (look.id)}<option value={look.id}>{look.name}</option>{/each}
    </select>
  {/if}
  <button
    type="button"
    class="quiet"
    disabled={selection.layers.length === 0}
    title="Keep this whole backdrop, to put it behind another area or page"
    onclick={() =>
      void edits.edit({ kind: 'save-look', ...where, name: `${selection.area?.name ?? 'A'} look` })}
    >Save as a look</button
  >
</span>
