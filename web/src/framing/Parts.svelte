<script lang="ts">
  /** Parts of the picture to keep in sight: their names, their boxes in %, and which screens lose them. */
  import type { Asset, Framing, Operation, Part } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeNumber } from '../parts/lengths';

  type Props = { bench: Bench; asset: Asset; path: string; framing: Framing | null };
  let { bench, asset, path, framing }: Props = $props();

  const parts = $derived(asset.parts ?? []);
  const SIDES = [
    { side: 'x', name: 'from left' },
    { side: 'y', name: 'from top' },
    { side: 'width', name: 'wide' },
    { side: 'height', name: 'high' },
  ] as const;
  const set = (n: number, field: string, value: unknown): Operation[] => [
    { op: 'add', path: `${path}/parts/${n}/${field}`, value },
  ];
  const losing = (part: Part) =>
    (framing?.screens ?? []).filter((s) => s.lost_parts.includes(part.name)).map((s) => s.name);
  const never = $derived(Object.values(framing?.never ?? {}).flat());
</script>

{#if parts.length > 0}
  <div>
    <h3 class="font-semibold">Keep in sight</h3>
    <ul>
      {#each parts as part, n (part.id)}
        {@const lost = losing(part)}
        <li class="flex flex-col gap-1 border-t border-base-300 py-1.5">
          <div class="flex items-center gap-2">
            <Field
              label="Name of the part"
              hideLabel
              value={part.name}
              keep={(text) => bench.keep(set(n, 'name', text), `Part ${text}`)}
            />
            <button
              type="button"
              class="quiet act"
              onclick={() =>
                void bench.keep([{ op: 'remove', path: `${path}/parts/${n}` }], `Forget ${part.name}`)}
              >Remove</button
            >
          </div>
          <div class="grid grid-cols-4 gap-1.5">
            {#each SIDES as { side, name } (side)}
              <Field
                label="% {name}"
                value={String(
                  Math.round((part.box[side] ?? (side === 'width' || side === 'height' ? 1 : 0)) * 1000) / 10,
                )}
                nudge={nudgeNumber(0.5, 0, 100)}
                keep={(text) =>
                  bench.keep(set(n, `box/${side}`, Number(text) / 100), `${part.name}: ${name}`)}
              />
            {/each}
          </div>
          <p class="text-[13px]" class:short={lost.length > 0}>
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
