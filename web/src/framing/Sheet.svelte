<script lang="ts" module>
  export type Mode = 'focal' | 'part' | 'crop';
</script>

<script lang="ts">
  import type { Crop, Framing, Part, Problem } from '../api/types';
  import { pull, type Spot as PullSpot } from '../parts/pull';
  import { useBench } from '../state/context';
  import { Hand } from '../state/hand.svelte';
  import { between, focalAt, held, placed, rounded, type Rect, type Spot } from './geometry';

  type Pulled = { spot: Spot; screen?: string };
  type Props = {
    picture: string;
    proportion: number;
    framing: Framing | null;
    parts: Part[];
    focal: Spot;
    crop: Crop | null;
    map: boolean;
    mode: Mode;
    show: (spot: Spot, screen?: string) => void;
    keep: (spot: Spot, screen?: string) => Promise<Problem | null> | void;
    drawn: (rect: Rect) => void;
  };
  let { picture, proportion, framing, parts, focal, crop, map, mode, show, keep, drawn }: Props = $props();

  let room = $state({ width: 0, height: 0 });
  const hand = new Hand<Pulled>(useBench().edits);
  let from = $state.raw<Spot | null>(null);
  let to = $state.raw<Spot | null>(null);
  let canvas = $state<HTMLCanvasElement>();
  let sheet = $state<HTMLElement>();

  const width = $derived(Math.max(60, Math.min(room.width, room.height * proportion)));
  const spot = $derived(hand.value && !hand.value.screen ? hand.value.spot : focal);
  const used = $derived<Rect>(
    crop
      ? { x: crop.x ?? 0, y: crop.y ?? 0, width: crop.width ?? 1, height: crop.height ?? 1 }
      : { x: 0, y: 0, width: 1, height: 1 },
  );
  /** The focal point is a share of the part that is used. */
  const shown = $derived<Spot>([used.x + spot[0] * used.width, used.y + spot[1] * used.height]);
  const rect = $derived(from && to ? between(from, to) : null);
  const reach = $derived(framing?.reach);
  const windows = $derived(framing?.screens ?? []);
  /** The handles stand beside each other; on a small sheet beneath each other, and none leaves it. */
  const HANDLE = { wide: 74, high: 26 };
  const leftOf = (box: readonly number[], n: number) => (box[0] ?? 0) * width + 8 + n * HANDLE.wide;
  const stacked = $derived(windows.some((w, n) => leftOf(w.window, n) + HANDLE.wide > width));

  function handleAt(box: readonly number[], n: number): string {
    if (!stacked) return `left:${8 + n * HANDLE.wide}px`;
    const left = Math.min(8, width - HANDLE.wide - (box[0] ?? 0) * width);
    const top = 4 + n * HANDLE.high - ((box[1] ?? 0) * width) / proportion;
    return `left:${left}px;top:${top}px`;
  }

  const inUsed = (at: Spot): Spot => [
    rounded(held((at[0] - used.x) / used.width)),
    rounded(held((at[1] - used.y) / used.height)),
  ];

  const way = () => ({
    show: ({ spot: at, screen }: Pulled) => show(at, screen),
    keep: ({ spot: at, screen }: Pulled) => keep(at, screen),
  });
  const free = (at: PullSpot): Spot => [held(at.x), held(at.y)];

  /** The sheet itself: the focal point is pulled, or a box is drawn. */
  const pulling = pull({
    begin: (at) => {
      from = to = free(at);
    },
    move: (at) => {
      to = free(at);
      if (mode === 'focal') hand.show({ spot: inUsed(to) }, way());
    },
    end: (at) => {
      const box = rect;
      from = to = null;
      if (mode === 'focal') {
        hand.show({ spot: inUsed(free(at)) }, way());
        void hand.settle();
      } else if (box && box.width > 0.01 && box.height > 0.01) drawn(box);
    },
    cancel: () => {
      from = to = null;
      hand.drop();
    },
  });

  const nudging = pull({
    begin: () => false,
    nudge: (right, down) =>
      hand.nudge(
        { spot: [rounded(held(spot[0] + right / 100)), rounded(held(spot[1] + down / 100))] },
        way(),
      ),
  });

  /** A screen's name is the handle of its window: dragging it gives that screen a focal point of its own. */
  function window(screen: string, box: readonly number[]) {
    const [x = 0, y = 0, w = 1, h = 1] = box;
    let start: Spot = [0, 0];
    const at = (dx: number, dy: number): Pulled => ({
      screen,
      spot: [
        rounded(focalAt(x + dx, w, used.x, used.width)),
        rounded(focalAt(y + dy, h, used.y, used.height)),
      ],
    });
    return pull({
      within: () => sheet ?? null,
      begin: (spot) => {
        start = [spot.x, spot.y];
      },
      move: (spot) => hand.show(at(spot.x - start[0], spot.y - start[1]), way()),
      end: () => void hand.settle(),
      cancel: () => hand.drop(),
      nudge: (right, down) => hand.nudge(at(right / 100, down / 100), way()),
    });
  }

  $effect(() => {
    const rows = framing?.subject;
    const pen = canvas?.getContext('2d');
    if (!rows || !canvas || !pen || !rows[0]) return;
    canvas.width = rows[0].length;
    canvas.height = rows.length;
    for (const [y, row] of rows.entries())
      for (const [x, value] of row.entries()) {
        pen.fillStyle = `rgb(196 110 0 / ${(0.75 * value) / 1000})`;
        pen.fillRect(x, y, 1, 1);
      }
  });
</script>

<div class="min-h-0 flex-1" bind:clientWidth={room.width} bind:clientHeight={room.height}>
  <div
    class="sheet"
    class:drawing={mode !== 'focal'}
    role="presentation"
    style:width="{width}px"
    style:height="{width / proportion}px"
    style:background-image="url({picture})"
    bind:this={sheet}
    {@attach pulling}
  >
    {#if map}<canvas bind:this={canvas}></canvas>{/if}
    {#if crop}<div class="used" style={placed(used)}></div>{/if}
    {#if reach && mode === 'focal'}
      <div
        class="reach"
        title="A focal point in here keeps all marked parts on every screen"
        style={placed({
          x: used.x + reach[0] * used.width,
          y: used.y + reach[1] * used.height,
          width: Math.max(0.004, reach[2] * used.width),
          height: Math.max(0.004, reach[3] * used.height),
        })}
      ></div>
    {/if}
    {#each parts as part (part.id)}
      <div class="part" style={placed({ ...part.box })}>
        <span>{part.name}</span>
      </div>
    {/each}
    {#each windows as { screen, name, window: box, differs }, n (screen)}
      <div
        class="window"
        style="{placed({ x: box[0], y: box[1], width: box[2], height: box[3] })};--dash:{[0, 10, 4][n % 3]}px"
      >
        <button
          type="button"
          class="handle"
          style={handleAt(box, n)}
          title="Drag it, or use the arrow keys, to give {name} a focal point of its own"
          {@attach window(screen, box)}>{name}{differs ? ' ◆' : ''}</button
        >
      </div>
    {/each}
    {#if rect && mode !== 'focal'}<div class="drawn" style={placed(rect)}></div>{/if}
    <span
      class="spot"
      role="slider"
      tabindex="0"
      aria-label="Focal point"
      aria-valuenow={Math.round(spot[0] * 100)}
      aria-valuetext="{Math.round(spot[0] * 100)} % across, {Math.round(spot[1] * 100)} % down"
      style:left="{shown[0] * 100}%"
      style:top="{shown[1] * 100}%"
      {@attach nudging}
    ></span>
  </div>
</div>

<style>
  .sheet {
    position: relative;
    background-size: 100% 100%;
    cursor: crosshair;
    user-select: none;
  }
  canvas {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    pointer-events: none;
  }
  .window,
  .part,
  .used,
  .reach,
  .drawn {
    position: absolute;
    box-sizing: border-box;
    pointer-events: none;
  }
  .window {
    border: 2px solid white;
    outline: 1.5px solid rgb(38 34 29 / 0.85);
    outline-offset: -3px;
  }
  .handle {
    position: absolute;
    top: 4px;
    min-height: 22px;
    padding: 0 7px;
    font-size: var(--text-small);
    font-weight: 600;
    color: #26221d;
    background: rgb(255 255 255 / 0.92);
    z-index: 1;
    pointer-events: auto;
    cursor: grab;
  }
  .part {
    border: 2px dashed #ffd9a0;
    outline: 1px solid rgb(0 0 0 / 0.5);
  }
  .part span {
    position: absolute;
    right: 2px;
    bottom: 2px;
    padding: 0 5px;
    font-size: var(--text-small);
    color: #26221d;
    background: #ffe3b8;
  }
  .used {
    box-shadow: 0 0 0 2000px rgb(38 34 29 / 0.55);
    clip-path: none;
  }
  .sheet:has(.used) {
    overflow: hidden;
  }
  .reach {
    background: repeating-linear-gradient(45deg, rgb(40 92 53 / 0.6) 0 3px, transparent 3px 8px);
    border: 1px solid #8fd09c;
  }
  .drawn {
    border: 2px solid white;
    background: rgb(123 30 58 / 0.3);
  }
  .drawing .window,
  .drawing .handle {
    opacity: 0.35;
    pointer-events: none;
  }
  .spot {
    position: absolute;
    z-index: 2;
    width: 26px;
    height: 26px;
    margin: -13px;
    border: 2.5px solid white;
    outline: 1.5px solid #26221d;
    background:
      linear-gradient(white, white) 50% 50% / 2px 10px no-repeat,
      linear-gradient(white, white) 50% 50% / 10px 2px no-repeat;
    transform: rotate(45deg);
  }
</style>
