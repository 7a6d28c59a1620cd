import * as client from '../api/client';
import type {
  AreaView,
  BuildUp,
  Everywhere,
  Film,
  Fit,
  Framing,
  Misfit,
  Overlay,
  Reading,
  ScreenAreas,
  Situations,
  TimeLine,
  Verdict,
  Widths,
} from '../api/types';
import type { Doc } from './doc.svelte';
import { isFilm, moves, picturesOf } from '../layers/members';
import { Latest, Settled } from './latest';
import { Long, type For, type Lines } from './long.svelte';
import type { Notices } from './notices.svelte';
import type { Selection } from './selection.svelte';
import type { Sight } from './sight.svelte';

/** What the core has computed for what is shown and chosen. */
export class Findings {
  readings = $state.raw<Reading[]>([]);
  /** What they come to; null: they are not there yet. */
  verdict = $state.raw<Verdict | null>(null);
  buildUp = $state.raw<BuildUp | null>(null);
  overlay = $state.raw<Overlay | null>(null);
  framing = $state.raw<Framing | null>(null);
  timeLine = $state.raw<TimeLine | null>(null);
  film = $state.raw<Film | null>(null);
  areaViews = $state.raw<ScreenAreas[]>([]);
  /** Every situation, and every width, of the page; looked at when it is asked for. */
  readonly every: Long<Situations>;
  readonly run: Long<Widths>;
  /** Whether the words fit, in every layout of the page. */
  readonly fit: Long<Fit>;
  /** The chosen overlay on every page of the site. */
  readonly everywhere: Long<Everywhere>;
  /** Which block's readings the contrast line follows; null: the one that fares worst. */
  lineBlock = $state<string | null>(null);
  private readonly reading = new Latest();
  /** The question that the present readings answer. */
  private answered = '';
  private readonly settling = new Settled(180);
  private of = { page: '', area: '', card: '' };
  private readonly doc: Doc;
  private readonly selection: Selection;
  private readonly sight: Sight;
  private readonly notices: Notices;

  readonly short = $derived(this.readings.filter((r) => r.verdict === 'short'));

  constructor(doc: Doc, selection: Selection, sight: Sight, notices: Notices) {
    this.doc = doc;
    this.selection = selection;
    this.sight = sight;
    this.notices = notices;
    this.every = new Long(notices);
    this.run = new Long(notices);
    this.fit = new Long(notices);
    this.everywhere = new Long(notices);
    sight.shown.listen(() => this.read());
    selection.moved.listen(() => this.turn());
  }

  /** What is known of the chosen area on a screen. */
  areaOn(screen: string): AreaView | null {
    const view = this.areaViews.find((v) => v.screen === screen);
    return view?.areas.find((a) => a.area === this.selection.area?.id) ?? null;
  }

  /** What falls short in the situation that the screens are in. */
  get met(): Reading[] {
    const { situation } = this.sight;
    return (
      (situation ? this.everyNow : null)?.cells.filter(
        (c) => c.situation === situation?.id && c.verdict === 'short',
      ) ?? []
    );
  }

  private get here(): For {
    return { revision: this.doc.revision, page: this.selection.page?.id ?? '' };
  }

  /** Every situation of the present page as it is kept; null where it was not looked at. */
  get everyNow(): Situations | null {
    return this.every.of(this.here);
  }

  get runNow(): Widths | null {
    return this.run.of(this.here);
  }

  get fitNow(): Fit | null {
    return this.fit.of(this.here);
  }

  /** Words that do not fit in the situation that a screen is in. */
  misfits(screen: string): Misfit[] {
    const { situation } = this.sight;
    const here = situation?.id ?? `${screen}:rest`;
    return (this.fitNow?.misfits ?? []).filter((m) => m.screen === screen && m.situation === here);
  }

  /** Look whether the words of the present page fit. */
  lookAtFit(): Promise<void> {
    const asked = { ...this.selection.asked, patch: [] };
    return this.fit.begin(this.here, (signal) => client.fit(asked, signal) as Lines<Fit>);
  }

  /** Look at every situation of the present page. */
  lookAtEvery(): Promise<void> {
    const asked = { ...this.selection.asked, patch: [] };
    return this.every.begin(this.here, (signal) => client.situations(asked, signal) as Lines<Situations>);
  }

  /** Look at every width of the present page. */
  lookAtWidths(): Promise<void> {
    const asked = { ...this.selection.asked, patch: [] };
    return this.run.begin(this.here, (signal) => client.widths(asked, signal) as Lines<Widths>);
  }

  /** The chosen layer on every page: what the computation is kept under. */
  get everywhereOf(): For {
    const { area, card } = this.selection.chosen;
    return { revision: this.doc.revision, page: `${this.selection.page?.id} ${area} ${card}` };
  }

  /** Find the one strength of an overlay that serves every page. */
  lookEverywhere(layer: string): Promise<void> {
    const asked = { ...this.selection.asked, patch: [], area: this.selection.area?.id ?? '', layer };
    return this.everywhere.begin(
      this.everywhereOf,
      (signal) => client.overlayEverywhere(asked, signal) as Lines<Everywhere>,
    );
  }

  /** What was found for another choice is not shown for this one. */
  private turn(): void {
    const { page: id, area, card } = this.selection.chosen;
    const page = `${id} ${this.selection.day ?? ''}`;
    if (page !== this.of.page) {
      this.readings = [];
      this.verdict = null;
      this.areaViews = [];
      this.answered = '';
      // a page that was just come to shows nothing yet that its readings should follow
      this.read();
    }
    if (page !== this.of.page || area !== this.of.area) {
      this.buildUp = null;
      this.lineBlock = null;
    }
    if (page !== this.of.page || area !== this.of.area || card !== this.of.card) {
      this.overlay = null;
      if (this.framing?.layer !== this.selection.framed?.id) this.framing = null;
      if (this.timeLine?.layer !== card) this.timeLine = null;
      if (this.film?.layer !== card) this.film = null;
    }
    this.of = { page, area, card };
    this.settle();
  }

  private read(): void {
    this.reading.run(async () => {
      const { asked } = this.selection;
      const question = JSON.stringify(asked);
      if (question === this.answered || !this.doc.state) return;
      try {
        const { readings, ...verdict } = await client.readings(asked);
        const { page, day } = this.selection.asked;
        // what was asked of the page before says nothing of this one, whose own question comes next
        if (page !== asked.page || day !== asked.day) return;
        this.readings = readings;
        this.verdict = verdict;
        this.answered = question;
        this.settle();
      } catch (error) {
        if (await this.sight.late(error, asked.revision)) return;
        if (asked.patch.length === 0) this.notices.tell(error);
      }
    });
  }

  /** Follow the readings of one block along the build-up, or of the one that fares worst. */
  follow(block: string | null): void {
    this.lineBlock = block;
    this.settle();
  }

  /** Ask anew about what is chosen: something else than the site has changed. */
  again(): void {
    this.settle();
  }

  private settle(): void {
    this.settling.run(async (signal) => {
      const { area, layer, framed, asked } = this.selection;
      if (!area || !this.doc.state) return;
      const here = { ...asked, area: area.id };
      try {
        await Promise.all([
          client.buildUp({ ...here, block: this.lineBlock }, signal).then((found) => (this.buildUp = found)),
          client.areas(asked, signal).then((found) => (this.areaViews = found)),
          framed
            ? client.framing({ ...here, layer: framed.id }, signal).then((found) => (this.framing = found))
            : null,
          layer && moves(layer)
            ? client.timeLine({ ...here, layer: layer.id }, signal).then((found) => (this.timeLine = found))
            : null,
          isFilm(layer)
            ? client.film({ ...here, layer: layer.id }, signal).then((found) => (this.film = found))
            : null,
        ]);
        if (asked.patch.length === 0) void this.lookAtFit();
        this.overlay =
          layer && picturesOf(layer).length === 0
            ? await client.overlay({ ...here, layer: layer.id }, signal)
            : null;
      } catch (error) {
        if (await this.sight.late(error, asked.revision)) return;
        if (asked.patch.length === 0) this.notices.tell(error);
      }
    });
  }
}
