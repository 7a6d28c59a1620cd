import type { Entrance, Layer } from '../api/types';
import { moves } from '../layers/members';
import type { Edits } from './edits.svelte';
import type { Selection } from './selection.svelte';

const lasts = (entrance: Entrance | null | undefined) =>
  entrance ? (entrance.delay ?? 0) + (entrance.duration ?? 0.7) : 0;

/** The time on the screens of the bench: where each layer that moves stands, and whether it runs. */
export class Movement {
  playing = $state(false);
  /** The time that all share, s. */
  clock = $state(0);
  /** How far a layer is ahead of it, s by its id. */
  private ahead = $state.raw<Record<string, number>>({});
  /** Whether words are arriving on the screens just now. */
  arriving = $state(false);
  private timer: ReturnType<typeof setTimeout> | undefined;
  private card = '';
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
    const card = `${this.selection.area?.id} ${this.selection.cardId}`;
    if (page === this.page && card !== this.card && this.selection.cardId === 'words') this.arrive();
    this.card = card;
    if (page === this.page) return;
    this.page = page;
    this.stop();
    this.clock = 0;
    this.ahead = {};
  }

  /** Whether a layer has been brought to a time, or runs: before that, a film stands with its still. */
  begun(layer: string): boolean {
    return this.playing || this.timeOf(layer) !== 0;
  }

  /** The own time of a layer, s from when the page was shown. */
  timeOf(layer: string): number {
    return this.clock + (this.ahead[layer] ?? 0);
  }

  /** Let the words of the page arrive once more, as visitors see it; where none do, nothing happens. */
  arrive(): void {
    const last = this.selection.areas
      .flatMap((a) => (a.kind === 'column' ? [a] : []))
      .flatMap(({ blocks, column }) =>
        blocks
          .filter((b) => b.entrance)
          .map(({ entrance }, n) => lasts(entrance) + n * (column?.stagger ?? 0)),
      )
      .reduce((most, one) => Math.max(most, one), 0);
    clearTimeout(this.timer);
    this.arriving = false;
    if (last === 0) return;
    // the sheet that holds the words is taken away anew
    requestAnimationFrame(() => (this.arriving = true));
    this.timer = setTimeout(() => (this.arriving = false), last * 1000 + 300);
  }

  /** Bring a layer to a time of its own. */
  seek(layer: string, time: number): void {
    this.stop();
    this.ahead = { ...this.ahead, [layer]: time - this.clock };
  }

  /** Let everything run from where it is, or stop there; where nothing moves, nothing happens. */
  toggle(): void {
    if (this.playing) return this.stop();
    const layers = this.selection.areas.flatMap((a) => (a.backdrop.layers ?? []) as Layer[]);
    if (!layers.some(moves)) return;
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
