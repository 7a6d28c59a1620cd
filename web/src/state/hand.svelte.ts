import type { Problem, State } from '../api/types';
import type { Edits } from './edits.svelte';

/** How a value under way is shown, and kept in the end. */
export type Way<T> = {
  show?: (value: T) => void;
  keep: (value: T) => Promise<Problem | null> | void;
};

/** How long the arrow keys rest before what they did is kept, ms. */
export const PAUSE = 450;

/**
 * A value under way: pulled, typed or nudged, shown at each step and kept once. From its first event it holds on to what
 * it was begun for; whatever else happens on the bench settles it first.
 */
export class Hand<T> {
  value = $state.raw<T | null>(null);
  /** Why the last value was refused. */
  problem = $state.raw<string | null>(null);
  private way: Way<T> | null = null;
  /** The state of the site that it was begun on. */
  private base: State | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly edits: Edits;

  constructor(edits: Edits) {
    this.edits = edits;
  }

  /** Show a value. The way is taken over at the first one. */
  show(value: T, way: Way<T>): void {
    if (!this.way) {
      this.way = way;
      this.base = this.edits.begin(this);
    }
    clearTimeout(this.timer);
    this.value = value;
    this.problem = null;
    this.way.show?.(value);
  }

  /** Show a value, and keep it after a pause. */
  nudge(value: T, way: Way<T>, pause = PAUSE): void {
    this.show(value, way);
    this.timer = setTimeout(() => void this.settle(), pause);
  }

  /** Keep what is under way. Where it is refused, it stays in sight with the reason. */
  async settle(): Promise<Problem | null> {
    clearTimeout(this.timer);
    const { way, value } = this;
    if (!way || value === null) return null;
    this.way = null;
    this.edits.end(this);
    const refused = (await this.edits.begunOn(this.base, () => way.keep(value))) ?? null;
    this.problem = refused?.message ?? null;
    if (!refused && !this.way && this.value === value) this.value = null;
    return refused;
  }

  /** Leave what is under way; what was there shows again. */
  drop(): void {
    clearTimeout(this.timer);
    const begun = this.way !== null;
    this.way = null;
    this.value = null;
    this.problem = null;
    this.edits.end(this);
    if (begun) this.edits.forget();
  }

  get busy(): boolean {
    return this.way !== null;
  }
}
