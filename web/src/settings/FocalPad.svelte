<script lang="ts">
  /** The whole picture with the spot that is to stay in sight; dragged, clicked or nudged with the arrow keys. */
  import type { ScreenWindow } from '../api/types';

  type Spot = [number, number];
  type Props = {
    picture: string;
    proportion: number;
    value: Spot;
    windows?: ScreenWindow[];
    show: (spot: Spot) => void;
    keep: (spot: Spot) => void;
  };
  let { picture, proportion, value, windows = [], show, keep }: Props = $props();

  let pulled = $state.raw<Spot | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const spot = $derived(pulled ?? value);
  const percent = (v: number) => Math.round(v * 100);
  const HEIGHT = 112;
  const width = $derived(Math.min(168, HEIGHT * proportion));

  const held = (v: number) => Math.round(Math.min(1, Math.max(0, v)) * 1000) / 1000;

  function pull(event: PointerEvent & { currentTarget: HTMLElement }): void {
    if (event.type === 'pointermove' && !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    const box = event.currentTarget.getBoundingClientRect();
    pulled = [held((event.clientX - box.left) / box.width), held((event.clientY - box.top) / box.height)];
    show(pulled);
  }

  function settle(): void {
    clearTimeout(timer);
    if (!pulled) return;
    const next = pulled;
    pulled = null;
    keep(next);
  }

  function key(event: KeyboardEvent): void {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const step = event.shiftKey ? 0.1 : 0.01;
    pulled = [held(spot[0] + (by[0] ?? 0) * step), held(spot[1] + (by[1] ?? 0) * step)];
    show(pulled);
    clearTimeout(timer);
    timer = setTimeout(settle, 450);
  }
</script>

<div
  class="pad"
  role="slider"
  tabindex="0"
  aria-label="Focal point"
  aria-valuenow={percent(spot[0])}
  aria-valuetext="{percent(spot[0])} % across, {percent(spot[1])} % down"
  title="The spot that stays in sight: drag it, or use the arrow keys"
  style:width="{width}px"
  style:height="{width / proportion}px"
  style:background-image="url({picture})"
  onpointerdown={pull}
  onpointermove={pull}
  onpointerup={settle}
  onkeydown={key}
>
  {#each windows as { screen, name, window: [x, y, w, h] } (screen)}
    <span
      class="window"
      title={name}
      style:left="{x * 100}%"
      style:top="{y * 100}%"
      style:width="{w * 100}%"
      style:height="{h * 100}%"
    ></span>
  {/each}
  <span class="spot" style:left="{spot[0] * 100}%" style:top="{spot[1] * 100}%"></span>
</div>

<style>
  .pad {
    position: relative;
    flex: none;
    background-size: 100% 100%;
    cursor: crosshair;
    touch-action: none;
  }
  .window {
    position: absolute;
    box-sizing: border-box;
    border: 1px solid white;
    outline: 1px solid rgb(38 34 29 / 0.7);
    outline-offset: -2px;
    pointer-events: none;
  }
  .spot {
    position: absolute;
    width: 22px;
    height: 22px;
    margin: -11px;
    border: 2px solid white;
    outline: 1.5px solid #26221d;
    background:
      linear-gradient(white, white) 50% 50% / 2px 8px no-repeat,
      linear-gradient(white, white) 50% 50% / 8px 2px no-repeat;
    transform: rotate(45deg);
    pointer-events: none;
  }
</style>
