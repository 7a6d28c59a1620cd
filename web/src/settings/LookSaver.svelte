<script lang="ts">
  /** Keeps the whole backdrop under a name, or puts a kept one here. */
  import Menu from '../parts/Menu.svelte';
  import { useBench } from '../state/context';

  const { doc, edits, selection } = useBench();
  const looks = $derived(doc.site?.looks ?? []);
  const where = $derived({ page: selection.page?.id ?? '', area: selection.area?.id ?? '' });
  const groups = $derived([
    {
      title: 'Instead of what is here',
      actions: looks.map((look) => ({
        id: look.id,
        name: look.name,
        run: () =>
          void edits.edit({ kind: 'lay-look', ...where, look: look.id }, (card) =>
            selection.chooseCard(card),
          ),
      })),
    },
  ]);
</script>

<span class="ml-auto flex shrink-0 items-center">
  {#if looks.length > 0}
    <Menu label="Put a saved look here" {groups} name="Put a look here" />
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
