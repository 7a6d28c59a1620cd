<script lang="ts">
  import type { Gradient, GradientLayer } from '../../../api/types';
  import { layerEditor } from '../../change';
  import { gradientImage } from '../../gradient';
  import GradientField from '../../GradientField.svelte';
  import Differs from '../../../parts/Differs.svelte';
  import TakeTurns from '../../TakeTurns.svelte';
  import Tabs from '../../../parts/Tabs.svelte';
  import LayerStrength from '../../LayerStrength.svelte';
  import { useBench } from '../../../state/context';
  import { on } from '../../../state/screens';
  import { put } from '../../../state/target';

  /** `member`: it takes turns with others, whose strength they share. */
  let { layer, member = false }: { layer: GradientLayer; member?: boolean } = $props();
  const to = layerEditor(() => layer);
  const { doc, edits, place, selection } = useBench();
  /** Members of a sequence are the same on every screen. */
  const screen = $derived(member ? null : selection.scope);
  const own = $derived(on(layer, screen));
  const TABS = [
    { id: 'gradient', name: 'Gradient' },
    { id: 'strength', name: 'Strength, other gradients' },
  ] as const;
  const tab = $derived(TABS.find((t) => t.id === place.tab)?.id ?? 'gradient');
  const saved = $derived(doc.site?.gradients ?? []);

  function save(): void {
    const n =
      saved.reduce((most, g) => Math.max(most, Number(/^gradient-(\d+)$/.exec(g.id)?.[1] ?? 0)), 0) + 1;
    const value = { id: `gradient-${n}`, name: layer.name, gradient: own.gradient };
    void edits.keep(put({}, { 'gradients/-': value }), `Save the gradient ${layer.name}`);
  }

  const exchange = (gradient: Gradient, name: string) =>
    void to.keep(screen ? { gradient } : { gradient, name }, `Gradient ${name}`, screen);
</script>

<Tabs label="Settings of the gradient" tabs={TABS} value={tab} choose={(id) => place.turn(id)}>
  <div class="flex flex-col gap-2 pt-1">
    {#if tab === 'gradient'}
      <GradientField
        value={own.gradient}
        show={(gradient) => to.show({ gradient }, screen)}
        keep={(gradient, label) => to.keep({ gradient }, `${layer.name}: ${label}`, screen)}
      />
      {#if !member}<div><Differs item={layer} fields={['gradient']} /></div>{/if}
    {:else}
      {#if !member}
        <LayerStrength {layer} ink={gradientImage(layer.gradient, true)} />
        <TakeTurns {layer} others="colours" />
      {/if}
      <div class="flex items-center gap-2">
        <button type="button" class="btn btn-outline h-[28px] min-h-0 px-2" onclick={save}>Save it</button>
        <div class="row" aria-label="Other gradients" role="group">
          {#each [...saved, ...(doc.library?.gradients ?? [])] as other (other.id)}
            <button
              type="button"
              class="chip"
              style:background={gradientImage(other.gradient)}
              aria-label="Gradient: {other.name}"
              title={other.name}
              onclick={() => exchange(other.gradient, other.name)}
            ></button>
          {/each}
        </div>
      </div>
    {/if}
  </div>
</Tabs>

<style>
  .row {
    display: flex;
    gap: 4px;
    overflow-x: auto;
    padding: 3px;
  }
  .chip {
    width: 46px;
    height: 28px;
    flex: none;
    border: 1px solid var(--color-base-300);
    cursor: pointer;
  }
</style>
