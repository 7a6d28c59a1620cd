import * as client from '../api/client';
import { Refused } from '../api/client';
import { patched } from '../api/patch';
import type { Edit, Live, Operation, Page, Problem, Site, Situation, State } from '../api/types';
import { Latest } from './latest';

export type Notice = { text: string; tone: 'short' | 'plain' };

/**
 * The site as the server keeps it, and a `draft`: a patch that is shown but not kept. `show` previews, `keep` and `edit`
 * make one step of the history. One call at a time changes the site.
 */
export class Session {
  state = $state.raw<State | null>(null);
  draft = $state.raw<Operation[]>([]);
  live = $state.raw<Live | null>(null);
  notice = $state.raw<Notice | null>(null);
  holding = $state(false);
  /** Whether the screens show what is while the pointer is over everything that answers to it. */
  pointed = $state(false);
  pageId = $state('home');

  /** The situation the screens are in; null: at rest, or pointed at. */
  situation = $state.raw<Situation | null>(null);

  protected readonly showing = new Latest();
  private keeping: Promise<unknown> = Promise.resolve();

  readonly site = $derived<Site | null>(this.state ? this.drafted(this.state.document) : null);
  readonly page = $derived<Page | null>(
    this.site?.pages.find((p) => p.id === this.pageId) ?? this.site?.pages[0] ?? null,
  );

  /** The document as it is shown; a draft that does not fit it any more is left out. */
  private drafted(document: Site): Site {
    try {
      return patched(document, this.draft);
    } catch {
      return document;
    }
  }

  /** Called when the screens show something new. */
  protected shown(): void {}

  get asked() {
    return { revision: this.state?.revision ?? 0, patch: this.draft, page: this.page?.id ?? 'home' };
  }

  /** Take over a new state. What is shown by now and was not what was just kept stays shown. */
  protected take(state: State, kept?: Operation[]): void {
    this.state = state;
    if (!kept || this.draft === kept) this.draft = [];
    this.refresh();
  }

  protected refresh(): void {
    this.showing.run(async () => {
      const kept = this.draft.length === 0;
      try {
        const live = await client.live(this.asked, this.pointed, this.situation?.id ?? null);
        if (!this.holding) this.live = live;
        this.shown();
      } catch (error) {
        if (await this.overtaken(error)) return;
        if (this.situation && error instanceof Refused && error.status === 404) return this.meet(null);
        if (!(error instanceof Refused) || kept) this.tell(error);
      }
    });
  }

  /** Whether an answer came too late: the site has moved on meanwhile, here or in another window. */
  protected async overtaken(error: unknown): Promise<boolean> {
    if (!(error instanceof Refused) || (error.status !== 409 && error.status !== 410)) return false;
    // while something is being changed, keeping it will say so and show what there is now
    if (this.draft.length > 0) return true;
    const newest = await client.state().catch(() => null);
    if (newest && newest.revision > (this.state?.revision ?? 0)) {
      this.take(newest);
      this.notice = { text: error.problem.message, tone: 'short' };
    }
    return true;
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
        this.take(await client.change(this.state?.revision ?? 0, patch, label), patch);
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

  /** Carry out an edit that the core computes, as one step. Gives the problem when it was refused. */
  edit(what: Edit, chosen: (id: string) => void = () => {}): Promise<Problem | null> {
    const done = this.keeping.then(async () => {
      try {
        const answer = await client.edit(this.state?.revision ?? 0, what);
        this.take(answer.state);
        this.notice = null;
        if (answer.chosen) chosen(answer.chosen);
        return null;
      } catch (error) {
        const problem = await this.refusal(error);
        if (problem && !this.notice) this.notice = { text: problem.message, tone: 'short' };
        return problem;
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

  /** Show the screens in a situation, or at rest again. */
  meet(situation: Situation | null): void {
    this.situation = situation;
    this.pointed = false;
    this.refresh();
  }

  /** Show the page at rest, or while it is pointed at. */
  point(pointed: boolean): void {
    this.pointed = pointed;
    this.situation = null;
    this.refresh();
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

  /** Put another site in place of the present one, after what is being kept. Gives the problem when it was refused. */
  private exchange(call: (revision: number) => Promise<State>): Promise<Problem | null> {
    const done = this.keeping.then(async () => {
      try {
        this.take(await call(this.state?.revision ?? 0));
        this.shown();
        return null;
      } catch (error) {
        return this.refusal(error);
      }
    });
    this.keeping = done;
    return done;
  }

  /** Open a site file in place of the present site, or take only the looks of another site's. */
  openSite = (file: File, send = client.openSiteFile) => this.exchange((revision) => send(file, revision));

  /** Put the site of a daily copy in place of the present one, as one step. */
  bringBack = (day: string) => this.exchange((revision) => client.bringBack(revision, day));

  tell(error: unknown): void {
    const text = error instanceof Error ? error.message : 'Something went wrong; nothing was changed.';
    this.notice = { text, tone: 'short' };
  }
}
