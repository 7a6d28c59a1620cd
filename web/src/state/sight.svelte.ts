import * as client from '../api/client';
import { Refused } from '../api/answer';
import type { Live, Screen, Situation } from '../api/types';
import { Bell } from './bell';
import type { Doc } from './doc.svelte';
import type { Edits } from './edits.svelte';
import { Latest } from './latest';
import type { Notices } from './notices.svelte';
import type { Selection } from './selection.svelte';

/** What the screens show: the page at rest, pointed at, in a situation, as it was before; and what is marked on them. */
export class Sight {
  live = $state.raw<Live | null>(null);
  /** Whether the screens show what is while the pointer is over everything that answers to it. */
  pointed = $state(false);
  /** The situation the screens are in; null: at rest, or pointed at. */
  situation = $state.raw<Situation | null>(null);
  /** Whether the state before is shown. */
  holding = $state(false);
  /** Whether letters that fall short are marked. */
  marked = $state(true);
  /** Whether inner and outer space of the chosen band are shown. */
  spaces = $state(false);
  /** The one screen that is brought forward; null: all stand beside each other. */
  forward = $state<string | null>(null);
  /** The screens in the order in which they were looked at last, where there is no room for all. */
  private recent = $state.raw<string[]>([]);
  /** The screens show something new. */
  readonly shown = new Bell();
  private page = '';
  private readonly showing = new Latest();
  private readonly doc: Doc;
  private readonly edits: Edits;
  private readonly selection: Selection;
  private readonly notices: Notices;

  constructor(doc: Doc, edits: Edits, selection: Selection, notices: Notices) {
    this.doc = doc;
    this.edits = edits;
    this.selection = selection;
    this.notices = notices;
    edits.shown.listen(() => this.refresh());
    selection.moved.listen(() => this.turn());
  }

  get idle(): boolean {
    return this.showing.idle;
  }

  private turn(): void {
    const page = `${this.selection.page?.id ?? ''} ${this.selection.day ?? ''}`;
    if (page === this.page) return;
    this.page = page;
    this.live = null;
    this.situation = null;
    this.refresh();
  }

  refresh(): void {
    if (!this.doc.state) return;
    this.showing.run(async () => {
      const { asked } = this.selection;
      const kept = asked.patch.length === 0;
      try {
        const live = await client.live(asked, this.pointed, this.situation?.id ?? null);
        if (!this.holding) this.live = live;
        this.shown.ring();
      } catch (error) {
        if (await this.late(error, asked.revision)) return;
        if (this.situation && error instanceof Refused && error.status === 404) return this.meet(null);
        if (!(error instanceof Refused) || kept) this.notices.tell(error);
      }
    });
  }

  /** Whether an answer came too late because the site has moved on since the revision asked about; then it is followed. */
  async late(error: unknown, asked: number): Promise<boolean> {
    if (error instanceof DOMException) return true;
    if (!(error instanceof Refused) || (error.status !== 409 && error.status !== 410)) return false;
    if (error.status === 409) await this.edits.follow(asked + 1);
    return true;
  }

  /** The screens to show where there is room for so many: the one brought forward, or those looked at last. */
  seen(most: number): Screen[] {
    const { screens } = this.doc;
    const forward = screens.filter((s) => s.id === this.forward);
    if (forward.length > 0) return forward;
    const byWidth = screens.toSorted((a, b) => b.width - a.width).map((s) => s.id);
    // the widest and the narrowest differ most
    const first = [byWidth[0], byWidth.at(-1), ...byWidth].filter((id): id is string => id !== undefined);
    const order = [...this.recent, ...first].filter(
      (id, n, all) => all.indexOf(id) === n && screens.some((s) => s.id === id),
    );
    return screens.filter((s) => order.slice(0, most).includes(s.id));
  }

  /** Look at a screen, where only some are shown. */
  look(screen: string): void {
    this.recent = [screen, ...this.recent.filter((id) => id !== screen)];
  }

  /** Bring a screen forward, or show all. */
  bring(screen: string | null): void {
    this.forward = screen;
  }

  /** Show the screens in a situation, or at rest again. */
  meet(situation: Situation | null): void {
    void this.edits.settle();
    this.situation = situation;
    this.pointed = false;
    this.refresh();
  }

  /** Show the page at rest, or while it is pointed at. */
  point(pointed: boolean): void {
    void this.edits.settle();
    this.pointed = pointed;
    this.situation = null;
    this.refresh();
  }

  /** Show the state before the last step, or before the change that is being made, while a key is held. */
  async hold(): Promise<void> {
    if (this.holding) return;
    this.holding = true;
    const { asked } = this.selection;
    try {
      const found = await (asked.patch.length > 0
        ? client.live({ ...asked, patch: [] })
        : client.before(asked.page));
      if (this.holding) this.live = found;
    } catch (error) {
      this.holding = false;
      this.notices.tell(error);
    }
  }

  release(): void {
    if (!this.holding) return;
    this.holding = false;
    this.refresh();
  }
}
