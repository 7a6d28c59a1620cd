import type { Gradient, GradientLayer, ImageLayer, Screen } from '../api/types';
import type { Bench } from '../state/bench';
import { on } from '../state/screens';
import { put, type Change, type Target } from '../state/target';

const START = 4;

type Parts = Pick<Bench, 'doc' | 'edits' | 'selection' | 'findings'>;
type Grabbed = {
  layer: ImageLayer | GradientLayer;
  target: Target;
  scope: string | null;
  from: [number, number];
};

/**
 * Moving the chosen picture, or turning the chosen gradient, in place on a screen. What was grabbed at first stays what
 * is moved. Values follow from how far the core says a picture can move.
 */
export class ScreenDrag {
  private grabbed: Grabbed | null = null;
  private change: Change | null = null;
  private readonly parts: Parts;
  private readonly screen: Screen;

  constructor(parts: Parts, screen: Screen) {
    this.parts = parts;
    this.screen = screen;
  }

  /** Whether something is being moved. */
  get active(): boolean {
    return this.change !== null;
  }

  down(event: PointerEvent): void {
    const { layer, scope } = this.parts.selection;
    if (event.button !== 0 || (layer?.kind !== 'image' && layer?.kind !== 'gradient')) return;
    void this.parts.edits.settle();
    const from: [number, number] = [event.screenX, event.screenY];
    this.grabbed = { layer, scope, from, target: this.parts.selection.layerTarget(layer.id) };
  }

  /** `scale` is the size of the screen on the bench; pointers are followed in px of the bench. */
  move(event: PointerEvent, scale: number): void {
    const { grabbed } = this;
    if (!grabbed) return;
    const by: [number, number] = [event.screenX - grabbed.from[0], event.screenY - grabbed.from[1]];
    if (!this.change && Math.hypot(...by) < START) return;
    const change =
      grabbed.layer.kind === 'image'
        ? this.moved(grabbed, grabbed.layer, by[0] / scale, by[1] / scale)
        : this.turned(grabbed, grabbed.layer, event);
    if (!change) return;
    this.change = change;
    this.parts.edits.show(change);
  }

  private moved({ target, scope }: Grabbed, layer: ImageLayer, dx: number, dy: number): Change | null {
    const { framing } = this.parts.findings;
    const view =
      framing?.layer === layer.id ? framing.screens.find((s) => s.screen === this.screen.id) : undefined;
    if (!view) return null;
    this.view ??= view;
    const { area, tile, offset } = this.view;
    const own = on(layer, this.screen.id);
    const place = [offset[0] + dx, offset[1] + dy] as const;
    if (own.repeat?.some((r) => r !== 'no-repeat') || own.position) {
      const [across, down] = place.map((v) => `${Math.round(v)}px`);
      return put(target, { position: { side: 'left', across, end: 'top', down } }, scope);
    }
    const share = (axis: 0 | 1) => {
      const room = area[axis] - tile[axis];
      if (Math.abs(room) < 1) return own.focal?.[axis] ?? 0.5;
      return Math.round(Math.min(1, Math.max(0, place[axis] / room)) * 1000) / 1000;
    };
    return put(target, { focal: [share(0), share(1)], position: null }, scope);
  }

  /** Where the picture lay when it was grabbed. */
  private view: NonNullable<Parts['findings']['framing']>['screens'][number] | undefined;

  private turned({ target }: Grabbed, layer: GradientLayer, event: PointerEvent): Change | null {
    const box = this.parts.findings.areaOn(this.screen.id)?.box;
    const inner = (event.target as Element | null)?.ownerDocument.defaultView;
    if (!box || !inner) return null;
    const [left, top, width, height] = box as [number, number, number, number];
    const x = event.clientX + inner.scrollX - left;
    const y = event.clientY + inner.scrollY - top;
    const values: Partial<Gradient> =
      (layer.gradient.shape ?? 'linear') === 'linear'
        ? { angle: Math.round((Math.atan2(x - width / 2, height / 2 - y) * 180) / Math.PI + 360) % 360 }
        : { centre: [`${Math.round((x / width) * 100)}%`, `${Math.round((y / height) * 100)}%`] };
    return put(target, { gradient: { ...layer.gradient, ...values } });
  }

  /** Ends the drag; gives whether there was one. */
  up(): boolean {
    const { grabbed, change } = this;
    this.leave();
    if (grabbed && change)
      void this.parts.edits.keep(
        change,
        `${grabbed.layer.kind === 'image' ? 'Move' : 'Turn'} ${grabbed.layer.name}`,
      );
    return change !== null;
  }

  /** Break it off; what was there shows again. */
  cancel(): void {
    const was = this.active;
    this.leave();
    if (was) this.parts.edits.forget();
  }

  private leave(): void {
    this.grabbed = null;
    this.change = null;
    this.view = undefined;
  }
}
