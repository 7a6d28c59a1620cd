import * as client from '../api/client';
import type { Spot } from '../api/types';
import type { Notices } from './notices.svelte';
import type { Selection } from './selection.svelte';

const RECENT = 10;

/** Takes a colour off a screen: the core says what is there and which layers it is made of. */
export class Eyedropper {
  /** Who waits for a colour. */
  taker = $state.raw<((colour: string) => void) | null>(null);
  seen = $state.raw<Spot | null>(null);
  recent = $state.raw<string[]>([]);
  private readonly selection: Selection;
  private readonly notices: Notices;

  constructor(selection: Selection, notices: Notices) {
    this.selection = selection;
    this.notices = notices;
  }

  ask(taker: (colour: string) => void): void {
    this.taker = taker;
    this.seen = null;
  }

  leave(): void {
    this.taker = null;
  }

  used(colour: string): void {
    this.recent = [colour, ...this.recent.filter((c) => c !== colour)].slice(0, RECENT);
  }

  async take(screen: string, x: number, y: number): Promise<void> {
    const taker = this.taker;
    try {
      const spot = await client.colourAt({ ...this.selection.asked, screen, x, y });
      this.seen = spot;
      taker?.(spot.colour);
      this.used(spot.colour);
    } catch (error) {
      this.notices.tell(error);
    }
    this.taker = null;
  }
}
