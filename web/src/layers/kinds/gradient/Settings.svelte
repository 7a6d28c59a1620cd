<script lang="ts">
  import type { Gradient, GradientLayer } from '../../../api/types';
  import type { Bench } from '../../../bench/bench.svelte';
  import { keepLayer, showLayer } from '../../change';
  import { gradientImage } from '../../gradient';
  import GradientField from '../../GradientField.svelte';
  import LayerStrength from '../../LayerStrength.svelte';

  let { bench, layer }: { bench: Bench; layer: GradientLayer } = $props();
  const saved = $derived(bench.site?.gradients ?? []);

  function save(): void {
    const n =
      saved.reduce((most, g) => Math.max(most, Number(/^gradient-(\d+)$/.exec(g.id)?.[1] ?? 0)), 0) + 1;
    const value = { id: `gradient-${n}`, name: layer.name, gradient: layer.gradient };
    void bench.keep([{ op: 'add', path: '/gradients/-', value }], `Save the gradient ${layer.name}`);
  }

  const put = (gradient: Gradient, name: string) =>
    void keepLayer(bench, layer, { gradient, name }, `Gradient ${name}`);
</script>

<div class="flex flex-col gap-2 pt-1">
  <GradientField
    {bench}
    value={layer.gradient}
    show={(gradient) => showLayer(bench, layer, { gradient })}
    keep={(gradient, label) => keepLayer(bench, layer, { gradient }, `${layer.name}: ${label}`)}
  />
  <LayerStrength {bench} {layer} ink={gradientImage(layer.gradient, true)} />
  <div class="flex items-center gap-2">
    <button type="button" class="btn btn-outline h-[28px] min-h-0 px-2" onclick={save}>Save it</button>
    <div class="row" aria-label="Other gradients" role="group">
      {#each [...saved, ...(bench.library?.gradients ?? [])] as other (other.id)}
        <button
          type="button"
          class="chip"
          style:background={gradientImage(other.gradient)}
          aria-label="Gradient: {other.name}"
          title={other.name}
          onclick={() => put(other.gradient, other.name)}
        ></button>
      {/each}
    </div>
  </div>
</div>

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
