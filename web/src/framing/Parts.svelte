<script lang="ts">
  /** Parts of the picture to keep in sight: their names, their boxes in %, and which screens lose them. */
  import type { Asset, Framing, Part } from '../api/types';
  import Field from '../parts/Field.svelte';
  import NumberField from '../parts/NumberField.svelte';
  import type { Values } from '../state/editor';
  import { alter, type Change } from '../state/target';
  import { useBench } from '../state/context';

  type Props = { asset: Asset; framing: Framing | null };
  let { asset, framing }: Props = $props();
  const { edits } = useBench();

  const parts = $derived(asset.parts ?? []);
  const SIDES = [
    { side: 'x', name: 'from left' },
    { side: 'y', name: 'from top' },
    { side: 'width', name: 'wide' },
    { side: 'height', name: 'high' },
  ] as const;
  /** A part is found by its id, whatever is taken away meanwhile. */
  const set = (part: Part, values: Values): Change => {
    const of = { list: 'assets', item: asset.id };
    return alter<Asset>(of, (now) => ({
      parts: (now.parts ?? []).map((p) => (p.id === part.id ? { ...p, ...values } : p)),
    }));
  };
  const without = (part: Part): Change =>
    alter<Asset>({ list: 'assets', item: asset.id }, (now) => ({
      parts: (now.parts ?? []).filter((p) => p.id !== part.id),
    }));
  const losing = (part: Part) =>
    (framing?.screens ?? []).filter((s) => s.lost_parts.includes(part.name)).map((s) => s.name);
  const never = $derived(Object.values(framing?.never ?? {}).flat());
</script>

{#if parts.length > 0}
  <div>
    <h3 class="font-semibold">Keep in sight</h3>
    <ul>
      {#each parts as part (part.id)}
        {@const lost = losing(part)}
        <li class="flex flex-col gap-1 border-t border-base-300 py-1.5">
          <div class="flex items-center gap-2">
            <Field
              label="Name of the part"
              hideLabel
              value={part.name}
              keep={(text) => edits.keep(set(part, { name: text }), `Part ${text}`)}
            />
            <button
              type="button"
              class="quiet act"
              onclick={() => void edits.keep(without(part), `Forget ${part.name}`)}>Remove</button
            >
          </div>
          <div class="grid grid-cols-4 gap-1.5">
            {#each SIDES as { side, name } (side)}
              <NumberField
                label="{part.name}: {name}"
                {name}
                value={(part.box[side] ?? (side === 'width' || side === 'height' ? 1 : 0)) * 100}
                unit="%"
                least={0}
                most={100}
                step={0.5}
                keep={(percent) =>
                  edits.keep(
                    set(part, { box: { ...part.box, [side]: percent / 100 } }),
                    `${part.name}: ${name}`,
                  )}
              />
            {/each}
          </div>
          <p class="text-small" class:short={lost.length > 0}>
            {lost.length === 0 ? 'In sight on every screen.' : `Cut off on ${lost.join(' and ')}.`}
            {#if never.includes(part.name)}No focal point keeps it there; it is wider or higher than the
              window.{/if}
          </p>
        </li>
      {/each}
    </ul>
  </div>
{/if}

<style>
  .short {
    color: var(--color-warning);
    font-weight: 600;
  }
</style>
