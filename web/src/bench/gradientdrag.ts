import type { Gradient, GradientLayer, Operation, Screen } from '../api/types';
import type { Bench } from './bench.svelte';

const START = 4;

/** Turning or moving the chosen gradient in place on a screen: a straight one follows the pointer, a centre is dragged. */
export class GradientDrag {
  private from: [number, number] | null = null;
  private patch: Operation[] | null = null;
  private readonly bench: Bench;
  private readonly screen: Screen;

  constructor(bench: Bench, screen: Screen) {
    this.bench = bench;
    this.screen = screen;
  }

  private get layer(): GradientLayer | null {
    const layer = this.bench.layer;
    return layer?.kind === 'gradient' ? layer : null;
  }

  down(event: PointerEvent): void {
    if (event.button === 0 && this.layer) this.from = [event.screenX, event.screenY];
  }

  move(event: PointerEvent): void {
    const layer = this.layer;
    const box = this.bench.areaOn(this.screen.id)?.box;
    const inner = (event.target as Element | null)?.ownerDocument.defaultView;
    if (!this.from || !layer || !box || !inner) return;
    if (!this.patch && Math.hypot(event.screenX - this.from[0], event.screenY - this.from[1]) < START) return;
    const [left, top, width, height] = box as [number, number, number, number];
    const x = event.clientX + inner.scrollX - left;
    const y = event.clientY + inner.scrollY - top;
    const values: Partial<Gradient> =
      (layer.gradient.shape ?? 'linear') === 'linear'
        ? { angle: Math.round((Math.atan2(x - width / 2, height / 2 - y) * 180) / Math.PI + 360) % 360 }
        : { centre: [`${Math.round((x / width) * 100)}%`, `${Math.round((y / height) * 100)}%`] };
    const value = { ...layer.gradient, ...values };
    this.patch = [{ op: 'add', path: `${this.bench.layerPath(layer.id)}/gradient`, value }];
    this.bench.show(this.patch);
  }

  /** Ends the drag; gives whether there was one. */
  up(): boolean {
    const done = this.patch;
    this.from = null;
    this.patch = null;
    if (done && this.layer) void this.bench.keep(done, `Turn ${this.layer.name}`);
    return done !== null;
  }
}
