<script lang="ts">
  /** The gradient in a small area: its angle is turned over it, its centre dragged in it. */
  import type { Gradient } from '../api/types';
  import { gradientImage } from './gradient';

  type Props = {
    gradient: Gradient;
    proportion: number;
    show: (values: Partial<Gradient>) => void;
    keep: (values: Partial<Gradient>, label: string) => void;
  };
  let { gradient, proportion, show, keep }: Props = $props();

  const WIDE = 168;
  let pad = $state<HTMLElement>();
  let held = $state<Partial<Gradient> | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const now = $derived({ ...gradient, ...held });
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

  function at(event: PointerEvent): [number, number] {
    const box = pad?.getBoundingClientRect() ?? new DOMRect();
    return [event.clientX - box.left, event.clientY - box.top];
  }

  function turned(event: PointerEvent): Partial<Gradient> {
    const [x, y] = at(event);
    const degrees = (Math.atan2(x - (centre[0] / 100) * WIDE, (centre[1] / 100) * high - y) * 180) / Math.PI;
    const step = event.shiftKey ? 15 : 1;
    return { angle: (Math.round(degrees / step) * step + 360) % 360 };
  }

  function moved(event: PointerEvent): Partial<Gradient> {
    const [x, y] = at(event);
    const part = (v: number, of: number) => `${Math.round(Math.min(1.2, Math.max(-0.2, v / of)) * 100)}%`;
    return { centre: [part(x, WIDE), part(y, high)] };
  }

  function drag(event: PointerEvent, follow: (event: PointerEvent) => Partial<Gradient>): void {
    if (event.buttons === 0) return;
    held = follow(event);
    show(held);
  }

  function settle(): void {
    const done = held;
    held = null;
    if (done) keep(done, 'angle' in done ? `turn to ${done.angle}°` : 'move the centre');
  }

  function key(event: KeyboardEvent, which: 'angle' | 'centre'): void {
    const by = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const step = event.shiftKey ? 10 : 1;
    const [x, y] = [(by[0] ?? 0) * step, (by[1] ?? 0) * step];
    held =
      which === 'angle'
        ? { angle: (angle + x - y + 360) % 360 }
        : { centre: [`${centre[0] + x}%`, `${centre[1] + y}%`] };
    show(held);
    clearTimeout(timer);
    timer = setTimeout(settle, 450);
  }

  const grab = (event: PointerEvent & { currentTarget: HTMLElement }) =>
    event.currentTarget.setPointerCapture(event.pointerId);
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
      onpointerdown={grab}
      onpointermove={(e) => drag(e, turned)}
      onpointerup={settle}
      onkeydown={(e) => key(e, 'angle')}
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
      onpointerdown={grab}
      onpointermove={(e) => drag(e, moved)}
      onpointerup={settle}
      onkeydown={(e) => key(e, 'centre')}
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
