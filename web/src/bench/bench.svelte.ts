import * as client from '../api/client';
import type {
  AreaView,
  Band,
  Block,
  BuildUp,
  Font,
  Framing,
  Layer,
  Library,
  Overlay,
  Reading,
  Screen,
  ScreenAreas,
  Situations,
} from '../api/types';
import { Latest, Settled } from './latest';
import { Eyedropper } from './eyedropper.svelte';
import { Session } from './session.svelte';
import { areasOf, around, blockPath, type Area } from './tree';
import { Uploads } from './uploads.svelte';
import { Ways } from '../remedies/ways.svelte';

/** What is chosen on the bench, and what the core has computed for it. */
export class Bench extends Session {
  readings = $state.raw<Reading[]>([]);
  buildUp = $state.raw<BuildUp | null>(null);
  overlay = $state.raw<Overlay | null>(null);
  framing = $state.raw<Framing | null>(null);
  areaViews = $state.raw<ScreenAreas[]>([]);
  /** Every situation of the page, once it was looked at; emptied when the site changes. */
  every = $state.raw<{ revision: number; page: string; found: Situations } | null>(null);
  fonts = $state.raw<Font[]>([]);
  library = $state.raw<Library | null>(null);
  /** Which block's readings the contrast line follows; null: the one that fares worst. */
  lineBlock = $state<string | null>(null);
  readonly eyedropper = new Eyedropper(this);
  areaId = $state('');
  /** Which screen settings are being made for; null: for all. */
  scope = $state<string | null>(null);
  cardId = $state('');
  blockId = $state('');
  marked = $state(true);
  forward = $state<string | null>(null);
  flash = $state(0);
  /** Whether inner and outer space of the chosen band are shown on the screens. */
  spaces = $state(false);

  readonly uploads = new Uploads(this);
  readonly ways = new Ways(this);
  private readonly reading = new Latest();
  private readonly settling = new Settled(180);

  readonly bands = $derived<Band[]>(this.page?.bands ?? []);
  readonly areas = $derived<Area[]>(this.page ? areasOf(this.page) : []);
  readonly area = $derived<Area | null>(
    this.areas.find((a) => a.id === this.areaId) ??
      this.areas.find((a) => a.band?.role === 'banner') ??
      this.areas[0] ??
      null,
  );
  readonly band = $derived<Band | null>(this.area?.band ?? null);
  readonly layers = $derived<Layer[]>((this.area?.backdrop.layers ?? []) as Layer[]);
  readonly blocks = $derived<Block[]>(this.area?.blocks ?? []);
  readonly words = $derived<Block[]>(this.blocks.filter((b) => b.kind !== 'picture' && b.kind !== 'space'));
  readonly block = $derived<Block | null>(
    this.blocks.find((b) => b.id === this.blockId) ?? this.blocks[0] ?? null,
  );
  readonly layer = $derived<Layer | null>(this.layers.find((l) => l.id === this.cardId) ?? null);
  readonly screens = $derived<Screen[]>(this.site?.screens ?? []);
  readonly short = $derived(this.readings.filter((r) => !r.meets && r.vouched));

  readonly pagePath = $derived(`/pages/${this.site?.pages.findIndex((p) => p.id === this.page?.id) ?? 0}`);
  /** The JSON Pointer of the present area. */
  readonly areaPath = $derived(`${this.pagePath}${this.area?.path ?? ''}`);
  /** The JSON Pointer of the band that the present area is or lies in. */
  readonly bandPath = $derived(
    `${this.pagePath}/bands/${this.bands.findIndex((b) => b.id === this.band?.id)}`,
  );

  /** The JSON Pointer of the present area's backdrop. */
  get backdropPath(): string {
    return `${this.areaPath}/backdrop`;
  }

  layerPath(id: string): string {
    return `${this.areaPath}/backdrop/layers/${this.layers.findIndex((l) => l.id === id)}`;
  }

  blockPath(id: string): string {
    return this.page ? this.pagePath + blockPath(this.page, id) : '';
  }

  /** What is known of the present area on a screen. */
  areaOn(screen: string): AreaView | null {
    const view = this.areaViews.find((v) => v.screen === screen);
    return view?.areas.find((a) => a.area === this.area?.id) ?? null;
  }

  async start(): Promise<void> {
    try {
      const [state, fonts, library] = await Promise.all([client.state(), client.fonts(), client.library()]);
      this.fonts = fonts;
      this.library = library;
      this.take(state);
      this.areaId = this.area?.id ?? '';
      const overlay = this.layers.findLast((l) => l.kind !== 'image');
      this.cardId = overlay?.id ?? this.layers[0]?.id ?? 'base';
      this.settle();
    } catch (error) {
      this.tell(error);
    }
  }

  choosePage(id: string): void {
    this.pageId = id;
    this.live = null;
    this.readings = [];
    this.areaViews = [];
    this.choose(this.areas.find((a) => a.band?.role === 'banner')?.id ?? this.areas[0]?.id ?? '');
    this.refresh();
  }

  /** Choose an area, and a card of its build-up: its topmost overlay, its topmost layer, or its base. */
  choose(id: string, card?: string): void {
    if (id !== this.areaId) {
      this.buildUp = null;
      this.lineBlock = null;
      this.overlay = null;
      this.framing = null;
    }
    this.areaId = id;
    this.flash += 1;
    this.cardId =
      card ?? this.layers.findLast((l) => l.kind !== 'image')?.id ?? this.layers.at(-1)?.id ?? 'base';
    this.settle();
  }

  chooseCard(id: string): void {
    this.cardId = id;
    this.overlay = null;
    if (this.framing?.layer !== id) this.framing = null;
    this.settle();
  }

  chooseBlock(id: string): void {
    this.blockId = id;
    if (!this.blocks.some((b) => b.id === id)) {
      const inner = this.areas.findLast((a) => a.blocks.some((b) => b.id === id));
      if (inner?.band) this.choose(inner.band.id, 'words');
    } else this.chooseCard('words');
  }

  /** Choose what was clicked on a screen: words first, then the area around, and the one around that. */
  chooseClicked(ids: string[]): void {
    if (!this.page) return;
    const areas = around(this.page, ids);
    const block = this.areas[0]?.blocks.find((b) => ids.includes(b.id));
    const onWords = this.cardId === 'words' && this.blockId === block?.id;
    const band = areas.find((a) => a.kind === 'band');
    if (block && !onWords) {
      this.blockId = block.id;
      this.choose((areas.some((a) => a.id === this.areaId) ? this.area : band)?.id ?? '', 'words');
      return;
    }
    const at = areas.findIndex((a) => a.id === this.areaId);
    const from = block || at < 0 ? areas[0] : (areas[at + 1] ?? areas[0]);
    if (from) this.choose(from.id);
  }

  /** What falls short in the situation that the screens are in. */
  get met(): Reading[] {
    const { situation, every } = this;
    if (!situation || every?.revision !== this.state?.revision) return [];
    return every?.found.cells.filter((c) => c.situation === situation.id && !c.meets) ?? [];
  }

  protected override shown(): void {
    this.read();
  }

  private read(): void {
    this.reading.run(async () => {
      if (!this.showing.idle && this.reading.idle) return;
      const kept = this.draft.length === 0;
      try {
        this.readings = (await client.readings(this.asked)).readings;
        this.settle();
      } catch (error) {
        if (await this.overtaken(error)) return;
        if (kept) this.tell(error);
      }
    });
  }

  /** Follow the readings of one block along the build-up, or of the one that fares worst. */
  follow(block: string | null): void {
    this.lineBlock = block;
    this.settle();
  }

  private settle(): void {
    this.settling.run(async (signal) => {
      if (!this.area || !this.state) return;
      const asked = { ...this.asked, area: this.area.id };
      const layer = this.layer;
      const kept = this.draft.length === 0;
      try {
        const framed = layer?.kind === 'image' ? client.framing({ ...asked, layer: layer.id }, signal) : null;
        await Promise.all([
          client.buildUp({ ...asked, block: this.lineBlock }, signal).then((found) => (this.buildUp = found)),
          framed?.then((found) => (this.framing = found)),
          client.areas(this.asked, signal).then((found) => (this.areaViews = found)),
        ]);
        this.overlay =
          layer && layer.kind !== 'image'
            ? await client.overlay({ ...asked, layer: layer.id }, signal)
            : null;
      } catch (error) {
        if (error instanceof DOMException || (await this.overtaken(error))) return;
        if (kept) this.tell(error);
      }
    });
  }
}
