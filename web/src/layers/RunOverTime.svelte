<script lang="ts">
  /** The worst reading over one period of a layer that moves, with what moves drawn beneath; dragging takes all screens
   * to that moment. */
  import type { Snippet } from 'svelte';
  import type { Layer } from '../api/types';
  import RunLine from '../parts/RunLine.svelte';
  import { useBench } from '../state/context';
  import { second } from './members';

  type Span = { id: string; name: string; from: number; to: number };
  type Props = {
    layer: Layer;
    /** How long one round lasts, s, and how much of it the line shows. */
    period: number;
    scale?: number;
    step?: number;
    high?: number;
    regions: readonly Span[];
    /** Stretches that read the same from their beginning to their end. */
    still?: readonly { from: number; to: number }[];
    /** What is said where screens do not move, as the system asks for less motion. */
    calm: string;
    children?: Snippet<[(value: number) => number]>;
  };
  let {
    layer,
    period,
    scale = period,
    step = 0.1,
    high = 44,
    regions,
    still = [],
    calm,
    children,
  }: Props = $props();
  const { findings, movement, sight } = useBench();
  /** Where the system asks for less motion, pages in it do not move, and neither do these screens. */
  const stands = matchMedia('(prefers-reduced-motion: reduce)').matches;

  const found = $derived(findings.timeLine?.layer === layer.id ? findings.timeLine : null);
  const now = $derived(
    sight.situation?.phases[layer.id] ?? ((movement.timeOf(layer.id) % period) + period) % period,
  );
  const ticks = $derived.by(() => {
    const wide = [0.5, 1, 2, 5, 10, 20, 60, 120, 300, 600].find((s) => scale / s <= 8) ?? 1200;
    return Array.from({ length: Math.floor(scale / wide + 1e-6) + 1 }, (_, n) => n * wide);
  });
  const points = $derived(
    (found?.points ?? []).flatMap((p) => {
      const span = still.find((s) => p.time > s.from - 1e-6 && p.time < s.to + 1e-6);
      const share = p.ratio / p.required;
      return span ? [span.from, span.to].map((at) => ({ at, share })) : [{ at: p.time, share }];
    }),
  );
  const marks = $derived(
    (found?.points ?? []).flatMap((p, n, all) => {
      const before = all[n - 1];
      if (!before || before.meets === p.meets) return [];
      const said = p.meets
        ? `From ${second(p.time)} on every word can be read again.`
        : `From ${second(p.time)} on words fall short.`;
      return [{ at: p.time, good: p.meets, said }];
    }),
  );
  const near = $derived(
    found?.points.reduce<(typeof found.points)[number] | null>(
      (best, p) => (!best || Math.abs(p.time - now) < Math.abs(best.time - now) ? p : best),
      null,
    ) ?? null,
  );

  function go(time: number): void {
    if (sight.situation) sight.meet(null);
    movement.seek(layer.id, time);
  }
</script>

<div class="flex items-center gap-2">
  <button
    type="button"
    class="quiet act shrink-0 px-1"
    title="Space"
    aria-pressed={movement.playing}
    onclick={() => movement.toggle()}>{movement.playing ? 'Stop' : 'Run'}</button
  >
  <span class="w-10 shrink-0 font-semibold tabular-nums">{second(now)}</span>
  <p class="min-w-0 flex-1 truncate text-small" role="status" title={found?.sentence}>
    {#if found}<span class={found.good ? 'text-success' : 'text-warning'}>{found.sentence}</span>{:else}<span
        class="muted">Reading every moment …</span
      >{/if}
  </p>
</div>
{#if stands}
  <p class="muted text-small">{calm}</p>
{/if}
<RunLine
  label="Time of {layer.name}"
  text={(time) => `${second(time)}${near ? `, the worst reading is ${near.shown} of ${near.required}` : ''}`}
  from={0}
  to={scale}
  {high}
  {step}
  {points}
  {regions}
  {marks}
  {ticks}
  tick={(time) => (time === 0 ? '0 s' : `${time}`)}
  value={now}
  first={0}
  choose={go}
  {children}
/>
