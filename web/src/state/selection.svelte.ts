import type { Band, Block, ImageLayer, Layer, Page } from '../api/types';
import { Bell } from './bell';
import type { Doc } from './doc.svelte';
import type { Edits } from './edits.svelte';
import { membersOf, picturesOf } from '../layers/members';
import type { Target } from './target';
import { areasOf, around, type Area } from './tree';

/** The ids of all that is chosen. */
export type Chosen = { page: string; area: string; card: string; block: string; scope: string | null };

/** Cards that every area has. */
const FIXED = new Set(['', 'base', 'words']);
const holds = (area: Area, layer: string) => (area.backdrop.layers ?? []).some((l) => l.id === layer);

/** What is chosen on the bench. Whatever is under way is settled before the choice changes. */
export class Selection {
  pageId = $state('home');
  areaId = $state('');
  cardId = $state('');
  blockId = $state('');
  /** Which member of a layer with several in turn is chosen; the first where it is none of them. */
  memberId = $state('');
  /** Which screen settings are being made for; null: for all. */
  scope = $state<string | null>(null);
  /** The day whose page is looked at, as rules show it then; null: the page without them. */
  day = $state<string | null>(null);
  /** Counts choices of an area, so that screens can show where it is. */
  flash = $state(0);
  /** The choice has changed. */
  readonly moved = new Bell();
  private readonly doc: Doc;
  private readonly edits: Edits;

  readonly page = $derived.by<Page | null>(
    () => this.doc.site?.pages.find((p) => p.id === this.pageId) ?? this.doc.site?.pages[0] ?? null,
  );
  readonly bands = $derived<Band[]>(this.page?.bands ?? []);
  readonly areas = $derived<Area[]>(this.page ? areasOf(this.page) : []);
  readonly area = $derived<Area | null>(this.areaNow() ?? this.firstArea ?? null);
  readonly band = $derived<Band | null>(this.area?.band ?? null);
  readonly layers = $derived<Layer[]>((this.area?.backdrop.layers ?? []) as Layer[]);
  readonly layer = $derived<Layer | null>(this.layers.find((l) => l.id === this.cardId) ?? null);
  /** The chosen member of the chosen layer. */
  readonly member = $derived(
    membersOf(this.layer).find((m) => m.layer.id === this.memberId) ?? membersOf(this.layer)[0] ?? null,
  );
  /** The picture that is framed: the chosen layer, or its chosen member, where that is one. */
  readonly framed = $derived<ImageLayer | null>(
    picturesOf(this.layer).find((p) => p.id === (this.member?.layer.id ?? this.layer?.id)) ?? null,
  );
  readonly blocks = $derived<Block[]>(this.area?.blocks ?? []);
  readonly words = $derived<Block[]>(this.blocks.filter((b) => this.doc.kind(b).lettered));
  readonly block = $derived<Block | null>(
    this.blocks.find((b) => b.id === this.blockId) ?? this.words[0] ?? this.blocks[0] ?? null,
  );

  constructor(doc: Doc, edits: Edits) {
    this.doc = doc;
    this.edits = edits;
  }

  /** The chosen area; where the chosen layer has moved into another one, as bands were joined or parted, that one. What
   *  is shown and not kept moves nothing: the readings of the area would leave, and all below would jump. */
  private areaNow(): Area | undefined {
    const own = this.areas.find((a) => a.id === this.areaId);
    if (own && (this.doc.change || FIXED.has(this.cardId) || holds(own, this.cardId))) return own;
    return this.areas.find((a) => holds(a, this.cardId)) ?? own;
  }

  /** What is asked about: the present page with what is shown of the site. */
  get asked() {
    const { revision, draft: patch } = this.doc;
    return { revision, patch, page: this.page?.id ?? 'home', day: this.day };
  }

  /** The chosen area as a target, and what lies in it or around it. */
  get target(): Target {
    return { page: this.page?.id, area: this.area?.id };
  }

  /** The picture that another would take the place of: the chosen one, otherwise the area's lowest. */
  get picture(): ImageLayer | null {
    const pictures = this.layers.filter((l) => this.doc.framed(l));
    return pictures.find((l) => l.id === this.cardId) ?? pictures[0] ?? null;
  }

  layerTarget(layer: string): Target {
    return { ...this.target, layer };
  }

  blockTarget(block: string): Target {
    return { page: this.page?.id, block };
  }

  get bandTarget(): Target {
    return { page: this.page?.id, band: this.band?.id };
  }

  get chosen(): Chosen {
    return {
      page: this.page?.id ?? '',
      area: this.area?.id ?? '',
      card: this.cardId,
      block: this.blockId,
      scope: this.scope,
    };
  }

  /** Another area; which of its cards is chosen then is not said yet. */
  private turnTo(area: string): void {
    this.areaId = area;
    this.cardId = '';
  }

  private change(how: () => void): void {
    this.edits.turn();
    this.edits.forget();
    how();
    this.moved.ring();
  }

  /** Choose what an address says; what is not there is left out. */
  restore(wanted: Partial<Chosen>): void {
    this.change(() => {
      if (wanted.page) this.pageId = wanted.page;
      this.turnTo(wanted.area ?? this.area?.id ?? '');
      this.areaId = this.area?.id ?? '';
      this.cardId = wanted.card && this.hasCard(wanted.card) ? wanted.card : this.firstCard();
      this.blockId = wanted.block ?? this.blockId;
      this.scope = this.doc.screens.some((s) => s.id === wanted.scope) ? (wanted.scope ?? null) : null;
    });
  }

  private hasCard(id: string): boolean {
    return id === 'base' || id === 'words' || this.layers.some((l) => l.id === id);
  }

  /** The banner, or the page itself; of a loose page, which nobody sees, its first band. */
  private get firstArea(): Area | undefined {
    const wanted = this.areas.find((a) => a.band?.role === 'banner');
    const loose = this.page?.loose ? this.areas.find((a) => a.kind === 'band') : undefined;
    return wanted ?? loose ?? this.areas[0];
  }

  /** The topmost overlay, the topmost layer, or the base. */
  private firstCard(): string {
    return this.layers.findLast((l) => picturesOf(l).length === 0)?.id ?? this.layers.at(-1)?.id ?? 'base';
  }

  /** Look at a day, or at the page without what rules show. */
  look(day: string | null): void {
    if (day !== this.day) this.change(() => (this.day = day));
  }

  choosePage(id: string): void {
    this.change(() => {
      this.pageId = id;
      this.turnTo(this.firstArea?.id ?? '');
      this.flash += 1;
      this.cardId = this.firstCard();
    });
  }

  /** Choose an area, and a card of its build-up. */
  choose(id: string, card?: string): void {
    this.change(() => {
      this.turnTo(id);
      this.flash += 1;
      this.cardId = card ?? this.firstCard();
    });
  }

  chooseCard(id: string): void {
    this.change(() => (this.cardId = id));
  }

  /** Choose a member of a layer, and the layer with it. */
  chooseMember(id: string): void {
    this.change(() => {
      this.memberId = id;
      const layer = this.layers.find((l) => membersOf(l).some((m) => m.layer.id === id));
      if (layer) this.cardId = layer.id;
    });
  }

  /** Choose the card before or after the present one. */
  walk(by: number): void {
    const cards = ['base', ...this.layers.map((l) => l.id), 'words'];
    const next = cards[cards.indexOf(this.cardId) + by];
    if (next) this.chooseCard(next);
  }

  /** Make settings for one screen, or for all. */
  scopeTo(screen: string | null): void {
    this.change(() => (this.scope = screen));
  }

  /** Choose a block of words: in the present area where it is one of its own, otherwise in its band. */
  chooseBlock(id: string): void {
    this.change(() => {
      this.blockId = id;
      if (!this.blocks.some((b) => b.id === id)) {
        const inner = this.areas.findLast((a) => a.blocks.some((b) => b.id === id));
        if (inner?.band) {
          this.turnTo(inner.band.id);
          this.flash += 1;
        }
      }
      this.cardId = 'words';
    });
  }

  /** Choose what was clicked on a screen: words first, then the area around, and the one around that. */
  chooseClicked(ids: string[]): void {
    if (!this.page) return;
    const areas = around(this.page, ids);
    const block = this.areas[0]?.blocks.find((b) => ids.includes(b.id));
    const onWords = this.cardId === 'words' && this.blockId === block?.id;
    const band = areas.find((a) => a.kind === 'band');
    if (block && !onWords) {
      const inside = areas.some((a) => a.id === this.areaId);
      this.change(() => {
        this.blockId = block.id;
        this.turnTo((inside ? this.area : band)?.id ?? this.areaId);
        this.flash += 1;
        this.cardId = 'words';
      });
      return;
    }
    const at = areas.findIndex((a) => a.id === this.areaId);
    const from = block || at < 0 ? areas[0] : (areas[at + 1] ?? areas[0]);
    if (from) this.choose(from.id);
  }
}
