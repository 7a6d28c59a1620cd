import * as client from '../api/client';
import { Refused } from '../api/answer';
import type { Eye, SeenPage, SeenWords, Veil } from '../api/types';
import type { Doc } from './doc.svelte';
import { Settled } from './latest';
import type { Notices } from './notices.svelte';
import type { Selection } from './selection.svelte';
import type { Sight } from './sight.svelte';

/** The page through other eyes: which were chosen, what lies before the screens then, and what the words come to. */
export class Eyes {
  /** All that there are; fetched when they are first wanted. */
  all = $state.raw<Eye[]>([]);
  kind = $state('');
  dials = $state.raw<Record<string, number>>({});
  /** What they see. Veils stay before the screens until the next ones come. */
  private found = $state.raw<SeenPage | null>(null);
  /** The page and the eyes that it was found for. */
  private of = $state('');
  private readonly settling = new Settled(60);
  private readonly doc: Doc;
  private readonly selection: Selection;
  private readonly sight: Sight;
  private readonly notices: Notices;

  constructor(doc: Doc, selection: Selection, sight: Sight, notices: Notices) {
    this.doc = doc;
    this.selection = selection;
    this.sight = sight;
    this.notices = notices;
    sight.shown.listen(() => this.look());
  }

  private get here(): string {
    const { page, day } = this.selection.asked;
    return `${page} ${day ?? ''} ${this.kind}`;
  }

  /** What they see of the page that is shown; null while it is not known. */
  get told(): SeenPage | null {
    return this.of === this.here ? this.found : null;
  }

  get eye(): Eye | undefined {
    return this.all.find((eye) => eye.kind === this.kind);
  }

  /** How they are written in an address: the kind, then each dial that is not as usual. */
  get said(): string {
    const turned = (this.eye?.dials ?? []).filter((d) => this.at(d.name) !== d.usual);
    return [this.kind, ...turned.map((d) => `${d.name}=${this.at(d.name)}`)].join(' ');
  }

  /** Where a dial stands. */
  at(name: string): number {
    return this.dials[name] ?? this.eye?.dials.find((d) => d.name === name)?.usual ?? 0;
  }

  async know(): Promise<void> {
    if (this.all.length > 0) return;
    try {
      this.all = await client.eyes();
    } catch (error) {
      this.notices.tell(error);
    }
  }

  /** Look through other eyes; through one's own again where none are named. */
  choose(kind: string): void {
    this.kind = kind;
    this.dials = {};
    if (!kind) this.found = null;
    this.look();
  }

  turn(name: string, value: number): void {
    this.dials = { ...this.dials, [name]: value };
    this.look();
  }

  /** What an address says. */
  async restore(said: string): Promise<void> {
    const [kind = '', ...dials] = said.split(' ');
    if (said === this.said) return;
    if (kind) await this.know();
    const eye = this.all.find((e) => e.kind === kind);
    this.choose(eye ? kind : '');
    for (const dial of eye?.dials ?? []) {
      const value = Number(dials.find((d) => d.startsWith(`${dial.name}=`))?.split('=')[1] ?? NaN);
      if (value >= dial.least && value <= dial.most) this.turn(dial.name, value);
    }
  }

  /** What lies before a screen; null through one's own eyes, and while it is not known. */
  veil(screen: string): Veil | null {
    return this.found?.veils.find((v) => v.screen === screen) ?? null;
  }

  /** What a block's words come to on a screen, as it is shown. Of pictures in turn the worst. */
  words(screen: string, block: string): SeenWords | null {
    const mine = (this.told?.words ?? []).filter((w) => w.screen === screen && w.block === block);
    const same = mine.filter((w) => w.pointed === this.sight.pointed);
    const there = (same.length > 0 ? same : mine).filter((w) => w.ratio !== null);
    return there.toSorted((a, b) => (a.ratio ?? 0) - (b.ratio ?? 0))[0] ?? null;
  }

  private look(): void {
    const { kind, dials } = this;
    if (!kind || !this.doc.state) return;
    this.settling.run(async (signal) => {
      const { here } = this;
      const { asked } = this.selection;
      try {
        const found = await client.seen({ ...asked, eye: kind, dials }, signal);
        if (this.kind !== kind) return;
        this.found = found;
        this.of = here;
      } catch (error) {
        if (signal.aborted || (await this.sight.late(error, asked.revision))) return;
        if (!(error instanceof Refused) || asked.patch.length === 0) this.notices.tell(error);
      }
    });
  }
}
