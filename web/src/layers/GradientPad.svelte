<script lang="ts">
  /** The gradient in a small area: its angle is turned over it, its centre dragged in it. */
  import type { Gradient, Problem } from '../api/types';
  import { pull, type Spot } from '../parts/pull';
  import { useBench } from '../state/context';
  import { Hand } from '../state/hand.svelte';
  import { gradientImage } from './gradient';

  type Props = {
    gradient: Gradient;
    proportion: number;
    show: (values: Partial<Gradient>) => void;
    keep: (values: Partial<Gradient>, label: string) => Promise<Problem | null> | void;
  };
  let { gradient, proportion, show, keep }: Props = $props();

  const WIDE = 168;
  let pad = $state<HTMLElement>();
  const hand = new Hand<Partial<Gradient>>(useBench().edits);
  const now = $derived({ ...gradient, ...hand.value });
  const high = $derived(Math.max(64, Math.min(110, WIDE / Math.max(0.2, proportion))));
  const turns = $derived(now.shape !== 'radial');
  const angle = $derived(now.angle ?? 180);
  const number = (text: string | undefined) => Number.parseFloat(text ?? '50') || 0;
  const centre = $derived<[number, number]>(
    now.shape === 'linear' || !now.shape ? [50, 50] : [number(now.centre?.[0]), number(now.centre?.[1])],
  );
  const reach = $derived(Math.min(WIDE, high) * 0.42);
  const tip = $derived<[number, number]>([
    (centre[0] / 100) * WIDE + Math.sin((angle * Math.PI) / 180) * reach,
    (centre[1] / 100) * high - Math.cos((angle * Math.PI) / 180) * reach,
  ]);

  const way = () => ({
    show,
    keep: (values: Partial<Gradient>) =>
      keep(values, 'angle' in values ? `turn to ${values.angle}°` : 'move the centre'),
  });

  function turned({ x, y, event }: Spot): Partial<Gradient> {
    const [across, down] = [(x - centre[0] / 100) * WIDE, (centre[1] / 100 - y) * high];
    const step = event.shiftKey ? 15 : 1;
    return { angle: (Math.round((Math.atan2(across, down) * 180) / Math.PI / step) * step + 360) % 360 };
  }

  function moved({ x, y }: Spot): Partial<Gradient> {
    const part = (v: number) => `${Math.round(Math.min(1.2, Math.max(-0.2, v)) * 100)}%`;
    return { centre: [part(x), part(y)] };
  }

  const handle = (
    follow: (spot: Spot) => Partial<Gradient>,
    nudged: (right: number, down: number) => Partial<Gradient>,
  ) =>
    pull({
      within: () => pad ?? null,
      move: (spot) => hand.show(follow(spot), way()),
      end: () => void hand.settle(),
      cancel: () => hand.drop(),
      nudge: (right, down) => hand.nudge(nudged(right, down), way()),
    });
  const turning = handle(turned, (right, down) => ({
    angle: (Math.round(angle + right - down) + 360) % 360,
  }));
  const moving = handle(moved, (right, down) => ({
    centre: [`${Math.round(centre[0] + right)}%`, `${Math.round(centre[1] + down)}%`],
  }));
</script>

<div class="pad chequered" bind:this={pad} style:width="{WIDE}px" style:height="{high}px">
  <div class="ink" style:background={gradientImage(now)}></div>
  {#if turns}
    <svg aria-hidden="true" width={WIDE} height={high}>
      {#each ['white', 'black'] as stroke, n (stroke)}
        <line
          x1={(centre[0] / 100) * WIDE}
          y1={(centre[1] / 100) * high}
          x2={tip[0]}
          y2={tip[1]}
          {stroke}
          stroke-width={n ? 1.4 : 3.6}
        />
      {/each}
    </svg>
    <button
      type="button"
      class="handle"
      style:left="{tip[0]}px"
      style:top="{tip[1]}px"
      role="slider"
      aria-label="Angle"
      aria-valuenow={angle}
      aria-valuetext="{angle} degrees"
      title="Turn it; with Shift in steps of 15°"
      {@attach turning}
    ></button>
  {/if}
  {#if now.shape === 'radial' || now.shape === 'conic'}
    <button
      type="button"
      class="handle centre"
      style:left="{centre[0]}%"
      style:top="{centre[1]}%"
      aria-label="Centre at {now.centre?.join(', ') ?? 'the middle'}"
      title="Drag the centre"
      {@attach moving}
    ></button>
  {/if}
</div>

<style>
  .pad {
    position: relative;
    overflow: hidden;
    touch-action: none;
  }
  .ink,
  svg {
    position: absolute;
    inset: 0;
    pointer-events: none;
  }
  .handle {
    position: absolute;
    width: 28px;
    height: 28px;
    margin: -14px;
    cursor: grab;
  }
  .handle::after {
    content: '';
    position: absolute;
    inset: 8px;
    background: white;
    border: 2px solid black;
  }
  .centre::after {
    transform: rotate(45deg);
  }
</style>
