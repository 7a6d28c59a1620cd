import * as client from '../api/client';
import { Refused } from '../api/client';
import { patched } from '../api/patch';
import type {
  Band,
  Block,
  BuildUp,
  Font,
  Layer,
  Live,
  Operation,
  Overlay,
  Page,
  Problem,
  Reading,
  Screen,
  State,
} from '../api/types';
import { Latest, Settled } from './latest';
import { Uploads } from './uploads.svelte';

export type Notice = { text: string; tone: 'short' | 'plain' };

/**
 * The state of the bench. One canonical value, the kept `state` of the server; a `draft` is a patch that is shown
 * but not kept. `show` previews, `keep` makes one step of the history.
 */
export class Bench {
  state = $state.raw<State | null>(null);
  draft = $state.raw<Operation[]>([]);
  live = $state.raw<Live | null>(null);
  readings = $state.raw<Reading[]>([]);
  buildUp = $state.raw<BuildUp | null>(null);
  overlay = $state.raw<Overlay | null>(null);
  fonts = $state.raw<Font[]>([]);
  notice = $state.raw<Notice | null>(null);
  holding = $state(false);
  pageId = $state('home');
  bandId = $state('');
  cardId = $state('');
  blockId = $state('');
  marked = $state(true);
  forward = $state<string | null>(null);
  flash = $state(0);

  readonly uploads = new Uploads(this);
  private readonly showing = new Latest();
  private readonly reading = new Latest();
  private readonly settling = new Settled(180);
  private keeping: Promise<unknown> = Promise.resolve();

  readonly site = $derived(this.state ? patched(this.state.document, this.draft) : null);
  readonly page = $derived<Page | null>(
    this.site?.pages.find((p) => p.id === this.pageId) ?? this.site?.pages[0] ?? null,
  );
  readonly bands = $derived<Band[]>(this.page?.bands ?? []);
  readonly band = $derived<Band | null>(
    this.bands.find((b) => b.id === this.bandId) ?? this.bands.find((b) => b.role === 'banner') ?? null,
  );
  readonly layers = $derived<Layer[]>((this.band?.backdrop?.layers ?? []) as Layer[]);
  readonly blocks = $derived<Block[]>((this.band?.columns ?? []).flatMap((c) => c.blocks ?? []));
  readonly block = $derived<Block | null>(
    this.blocks.find((b) => b.id === this.blockId) ?? this.blocks[0] ?? null,
  );
  readonly layer = $derived<Layer | null>(this.layers.find((l) => l.id === this.cardId) ?? null);
  readonly screens = $derived<Screen[]>(this.site?.screens ?? []);
  readonly short = $derived(this.readings.filter((r) => !r.meets));

  /** The JSON Pointer of the present band. */
  readonly bandPath = $derived.by(() => {
    const page = this.site?.pages.findIndex((p) => p.id === this.page?.id) ?? 0;
    return `/pages/${page}/bands/${this.bands.findIndex((b) => b.id === this.band?.id)}`;
  });

  layerPath(id: string): string {
    return `${this.bandPath}/backdrop/layers/${this.layers.findIndex((l) => l.id === id)}`;
  }

  blockPath(id: string): string {
    const columns = this.band?.columns ?? [];
    const column = columns.findIndex((c) => c.blocks?.some((b) => b.id === id));
    const at = columns[column]?.blocks?.findIndex((b) => b.id === id) ?? 0;
    return `${this.bandPath}/columns/${column}/blocks/${at}`;
  }

  async start(): Promise<void> {
    try {
      const [state, fonts] = await Promise.all([client.state(), client.fonts()]);
      this.fonts = fonts;
      this.take(state);
      this.bandId = this.band?.id ?? '';
      const overlay = this.layers.findLast((l) => l.kind === 'colour');
      this.cardId = overlay?.id ?? this.layers[0]?.id ?? 'base';
      this.settle();
    } catch (error) {
      this.tell(error);
    }
  }

  private take(state: State): void {
    this.state = state;
    this.draft = [];
    this.refresh();
  }

  chooseBand(id: string, card?: string): void {
    if (id !== this.bandId) {
      this.buildUp = null;
      this.overlay = null;
    }
    this.bandId = id;
    this.flash += 1;
    this.cardId =
      card ?? this.layers.findLast((l) => l.kind === 'colour')?.id ?? this.layers.at(-1)?.id ?? 'base';
    this.settle();
  }

  chooseCard(id: string): void {
    this.cardId = id;
    this.overlay = null;
    this.settle();
  }

  /** Choose what was clicked on a screen: words first, their band when they are chosen already. */
  chooseClicked(band: string, block: string | null): void {
    const again = this.band?.id === band && this.cardId === 'words' && this.block?.id === block;
    if (block && !again) {
      this.blockId = block;
      this.chooseBand(band, 'words');
    } else this.chooseBand(band);
  }

  private get asked() {
    return { revision: this.state?.revision ?? 0, patch: this.draft, page: this.page?.id ?? 'home' };
  }

  private refresh(): void {
    this.showing.run(async () => {
      try {
        const live = await client.live(this.asked);
        if (!this.holding) this.live = live;
        this.read();
      } catch (error) {
        if (!(error instanceof Refused) || this.draft.length === 0) this.tell(error);
      }
    });
  }

  private read(): void {
    this.reading.run(async () => {
      if (!this.showing.idle && this.reading.idle) return;
      try {
        this.readings = (await client.readings(this.asked)).readings;
        this.settle();
      } catch (error) {
        if (this.draft.length === 0) this.tell(error);
      }
    });
  }

  private settle(): void {
    this.settling.run(async (signal) => {
      if (!this.band || !this.state) return;
      const asked = { ...this.asked, band: this.band.id };
      const layer = this.layer?.kind === 'colour' ? this.layer.id : null;
      try {
        this.overlay = layer ? await client.overlay({ ...asked, layer }, signal) : null;
        this.buildUp = await client.buildUp(asked, signal);
      } catch (error) {
        if (error instanceof DOMException) return;
        if (this.draft.length === 0) this.tell(error);
      }
    });
  }

  /** Show a change on all screens without keeping it. */
  show(patch: Operation[]): void {
    this.draft = patch;
    this.refresh();
  }

  /** Keep a change as one step. Gives the problem when it was refused; then what was there stays. */
  keep(patch: Operation[], label: string): Promise<Problem | null> {
    this.draft = patch;
    const done = this.keeping.then(async () => {
      try {
        if (this.changesNothing(patch)) {
          this.forget();
          return null;
        }
        this.take(await client.change(this.state?.revision ?? 0, patch, label));
        this.notice = null;
        return null;
      } catch (error) {
        if (this.draft === patch) this.draft = [];
        this.refresh();
        return this.refusal(error);
      }
    });
    this.keeping = done;
    return done;
  }

  private changesNothing(patch: Operation[]): boolean {
    const kept = this.state?.document;
    return JSON.stringify(patched(kept, patch)) === JSON.stringify(kept);
  }

  /** Forget what is shown and not kept. */
  forget(): void {
    if (this.draft.length === 0) return;
    this.draft = [];
    this.refresh();
  }

  private async refusal(error: unknown): Promise<Problem | null> {
    if (error instanceof Refused) {
      if (error.status === 409) {
        this.take(await client.state());
        this.notice = { text: error.problem.message, tone: 'short' };
      } else if (error.status === 0) this.tell(error);
      return error.problem;
    }
    throw error;
  }

  move(way: 'undo' | 'redo'): Promise<void> {
    const done = this.keeping.then(async () => {
      if (!this.state?.[way]) return;
      try {
        this.take(await client[way](this.state.revision));
      } catch (error) {
        await this.refusal(error);
      }
    });
    this.keeping = done;
    return done;
  }

  /** Show the state before the last step, or before the change that is being made, while a key is held. */
  async hold(): Promise<void> {
    if (this.holding) return;
    this.holding = true;
    try {
      const page = this.page?.id ?? 'home';
      const found = this.draft.length
        ? await client.live({ ...this.asked, patch: [] })
        : await client.before(page);
      if (this.holding) this.live = found;
    } catch (error) {
      this.holding = false;
      this.tell(error);
    }
  }

  release(): void {
    if (!this.holding) return;
    this.holding = false;
    this.refresh();
  }

  async openSite(file: File): Promise<Problem | null> {
    try {
      this.take(await client.openSiteFile(file, this.state?.revision ?? 0));
      this.chooseBand(this.band?.id ?? '');
      return null;
    } catch (error) {
      return this.refusal(error);
    }
  }

  tell(error: unknown): void {
    const text = error instanceof Error ? error.message : 'Something went wrong; nothing was changed.';
    this.notice = { text, tone: 'short' };
  }
}
