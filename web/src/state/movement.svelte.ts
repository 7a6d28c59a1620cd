import type { Edits } from './edits.svelte';
import type { Selection } from './selection.svelte';

/** The time on the screens of the bench: where each layer that moves stands, and whether it runs. */
export class Movement {
  playing = $state(false);
  /** The time that all share, s. */
  clock = $state(0);
  /** How far a layer is ahead of it, s by its id. */
  private ahead = $state.raw<Record<string, number>>({});
  private page = '';
  private frame = 0;
  private readonly selection: Selection;

  constructor(edits: Edits, selection: Selection) {
    this.selection = selection;
    edits.shown.listen(() => this.stop());
    selection.moved.listen(() => this.turn());
  }

  private turn(): void {
    const page = this.selection.page?.id ?? '';
    if (page === this.page) return;
    this.page = page;
    this.stop();
    this.clock = 0;
    this.ahead = {};
  }

  /** The own time of a layer, s from when the page was shown. */
  timeOf(layer: string): number {
    return this.clock + (this.ahead[layer] ?? 0);
  }

  /** Bring a layer to a time of its own. */
  seek(layer: string, time: number): void {
    this.stop();
    this.ahead = { ...this.ahead, [layer]: time - this.clock };
  }

  /** Let everything run from where it is, or stop there. */
  toggle(): void {
    if (this.playing) return this.stop();
    this.playing = true;
    let last = performance.now();
    const on = (now: number): void => {
      this.clock += (now - last) / 1000;
      last = now;
      this.frame = requestAnimationFrame(on);
    };
    this.frame = requestAnimationFrame(on);
  }

  stop(): void {
    cancelAnimationFrame(this.frame);
    this.playing = false;
  }
}
