import type { Layer, Screen } from '../api/types';
import { dragOf, heldOf, type LayerDrag, type Parts, type Pull } from '../layers/drag';
import type { Change } from '../state/target';

const START = 4;

/** A drag in place on a screen: what it does to what is held is said by the layer's kind. */
export class ScreenDrag {
  private grabbed: { layer: Layer; kind: LayerDrag; from: [number, number] } | null = null;
  private pulled: ((pull: Pull) => Change | null) | null = null;
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
    const { scope } = this.parts.selection;
    const layer = heldOf(this.parts);
    const kind = dragOf(layer);
    if (event.button !== 0 || !layer || !kind) return;
    void this.parts.edits.settle();
    this.grabbed = { layer, kind, from: [event.screenX, event.screenY] };
    const target = this.parts.selection.layerTarget(layer.id);
    this.pulled = kind.grab({ layer, target, scope, screen: this.screen, parts: this.parts });
  }

  /** `scale` is the size of the screen on the bench; pointers are followed in px of the bench. */
  move(event: PointerEvent, scale: number): void {
    const inner = (event.target as Element | null)?.ownerDocument.defaultView;
    if (!this.grabbed || !inner) return;
    const { from } = this.grabbed;
    const [x, y] = [event.screenX - from[0], event.screenY - from[1]];
    if (!this.change && Math.hypot(x, y) < START) return;
    const change = this.pulled?.({
      by: [x / scale, y / scale],
      at: [event.clientX + inner.scrollX, event.clientY + inner.scrollY],
    });
    if (!change) return;
    this.change = change;
    this.parts.edits.show(change);
  }

  /** Ends the drag; gives whether there was one. */
  up(): boolean {
    const { grabbed, change } = this;
    this.leave();
    if (grabbed && change) void this.parts.edits.keep(change, `${grabbed.kind.verb} ${grabbed.layer.name}`);
    return change !== null;
  }

  /** Break it off; what was there shows again. */
  cancel(): void {
    const was = this.active;
    this.leave();
    if (was) this.parts.edits.forget();
  }

  private leave(): void {
    this.grabbed = this.pulled = this.change = null;
  }
}
