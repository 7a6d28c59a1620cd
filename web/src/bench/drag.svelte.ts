import type { ImageLayer, Operation, Screen } from '../api/types';
import type { Bench } from './bench.svelte';
import { on, setting } from './exceptions';

const START = 4;

/** Dragging the chosen picture in place on a screen. Its values follow from how far the core says it can move. */
export class PictureDrag {
  private from: [number, number] | null = null;
  private moving = false;
  private patch: Operation[] = [];
  private readonly bench: Bench;
  private readonly screen: Screen;

  constructor(bench: Bench, screen: Screen) {
    this.bench = bench;
    this.screen = screen;
  }

  get active(): boolean {
    return this.moving;
  }

  private get layer(): ImageLayer | null {
    const layer = this.bench.layer;
    return layer?.kind === 'image' ? layer : null;
  }

  down(event: PointerEvent): void {
    if (event.button === 0 && this.layer) this.from = [event.screenX, event.screenY];
  }

  /** `scale` is the size of the screen on the bench; pointers are followed in px of the bench. */
  move(event: PointerEvent, scale: number): void {
    const layer = this.layer;
    const view = this.bench.framing?.screens.find((s) => s.screen === this.screen.id);
    if (!this.from || !layer || !view || this.bench.framing?.layer !== layer.id) return;
    const by = [(event.screenX - this.from[0]) / scale, (event.screenY - this.from[1]) / scale];
    if (!this.moving && Math.hypot(by[0] ?? 0, by[1] ?? 0) * scale < START) return;
    this.moving = true;
    const own = on(layer, this.screen.id);
    const free = [view.area[0] - view.tile[0], view.area[1] - view.tile[1]];
    const place = [view.offset[0] + (by[0] ?? 0), view.offset[1] + (by[1] ?? 0)];
    const tiled = own.repeat?.some((r) => r !== 'no-repeat') || own.position;
    const share = (axis: 0 | 1) => {
      const room = free[axis] ?? 0;
      if (Math.abs(room) < 1) return own.focal?.[axis] ?? 0.5;
      return Math.round(Math.min(1, Math.max(0, (place[axis] ?? 0) / room)) * 1000) / 1000;
    };
    const values = tiled
      ? {
          position: {
            side: 'left',
            across: `${Math.round(place[0] ?? 0)}px`,
            end: 'top',
            down: `${Math.round(place[1] ?? 0)}px`,
          },
        }
      : { focal: [share(0), share(1)], position: null };
    this.patch = setting(this.bench.layerPath(layer.id), layer, values, this.bench.scope);
    this.bench.show(this.patch);
  }

  /** Ends the drag; gives whether there was one. */
  up(): boolean {
    const moved = this.moving;
    this.from = null;
    this.moving = false;
    if (moved && this.layer) void this.bench.keep(this.patch, `Move ${this.layer.name}`);
    return moved;
  }
}
