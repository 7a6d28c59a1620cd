import * as client from '../api/client';
import { Refused } from '../api/answer';
import { at, patched } from '../api/patch';
import type { Edit, Problem, Site, State, Step } from '../api/types';
import { Bell } from './bell';
import type { Doc } from './doc.svelte';
import type { Notices } from './notices.svelte';
import { GoneError, type Change } from './target';

/** What changes the site, and what tells of others' changes. */
export type Server = Pick<typeof client, 'change' | 'edit' | 'undo' | 'redo' | 'since' | 'state'>;
type UnderWay = { settle: () => Promise<unknown> };

const TRIES = 4;
/** So many changes by others are remembered. */
const REMEMBERED = 20;
const GONE = (error: GoneError): Problem => ({ kind: 'gone', message: error.message, path: '$' });

/** Changes of the site: shown at once, kept one after the other. */
export class Edits {
  /** Something else is to be shown. */
  readonly shown = new Bell();
  private line: Promise<unknown> = Promise.resolve();
  private hand: UnderWay | null = null;
  /** The state that what is being kept now was begun on. */
  private base: State | null = null;
  /** What is being kept, until it is. */
  private keeping: Change[] = [];
  /** What other hands have changed lately: the site before and after, and the revision that it came to. */
  private theirs: { revision: number; before: Site; after: Site }[] = [];
  /** Counts what the hand chooses and turns to. */
  private turns = 0;
  /** The newest revision that was heard of. */
  private heard = 0;
  private readonly doc: Doc;
  private readonly notices: Notices;
  private readonly server: Server;

  constructor(doc: Doc, notices: Notices, server: Server = client) {
    this.doc = doc;
    this.notices = notices;
    this.server = server;
  }

  /** Something is under way now; what was before is settled. Gives the state of the site it begins on. */
  begin(hand: UnderWay): State | null {
    if (this.hand !== hand) void this.settle();
    this.hand = hand;
    return this.doc.state;
  }

  /** Whether something is under way that is not kept yet. */
  get busy(): boolean {
    return this.hand !== null;
  }

  end(hand: UnderWay): void {
    if (this.hand === hand) this.hand = null;
  }

  /** Keep what is under way. It takes its place in the line at once, before whatever is asked for next. */
  async settle(): Promise<void> {
    const { hand } = this;
    this.hand = null;
    await hand?.settle();
  }

  /** The hand chooses something else, or turns to it: what is under way is settled. */
  turn(): void {
    this.turns += 1;
    void this.settle();
  }

  /** What an answer may choose or turn to: nothing, once the hand has turned to something else itself. */
  unlessTurned<T>(then: (found: T) => void): (found: T) => void {
    const { turns } = this;
    return (found) => {
      if (turns !== this.turns) return;
      then(found);
      this.turns = turns;
    };
  }

  /** One after the other. */
  private inLine<T>(call: () => Promise<T>): Promise<T> {
    const done = this.line.then(call);
    this.line = done.catch(() => {});
    return done;
  }

  /** When all that was changed so far is kept: what is asked about then is not out of date at once. */
  async kept(): Promise<void> {
    await this.settle();
    await this.line;
  }

  /** Keep something that was begun on an earlier state of the site. */
  begunOn<T>(state: State | null, call: () => T): T {
    this.base = state;
    try {
      return call();
    } finally {
      this.base = null;
    }
  }

  /** Show a change on all screens without keeping it. */
  show(change: Change): void {
    this.doc.change = change;
    this.shown.ring();
  }

  /** Forget what is shown and neither kept nor being kept. */
  forget(): void {
    if (!this.doc.change || this.keeping.includes(this.doc.change)) return;
    this.doc.change = null;
    this.shown.ring();
  }

  /**
   * Keep a change as one step. Gives the problem when it was refused; then what was there stays.
   * Once it is kept, `then` chooses what is looked at next, unless the hand has by then.
   */
  keep(change: Change, label: string, then: () => void = () => {}): Promise<Problem | null> {
    const kept = this.unlessTurned(then);
    const before = this.base ?? this.doc.state;
    this.doc.change = change;
    this.keeping = [...this.keeping, change];
    this.shown.ring();
    return this.inLine(async () => {
      try {
        await this.tried(change, label, before);
        kept(undefined);
        return null;
      } catch (error) {
        if (this.doc.change === change) this.doc.change = null;
        this.shown.ring();
        return this.refusal(error);
      } finally {
        this.keeping = this.keeping.filter((one) => one !== change);
      }
    });
  }

  private async tried(change: Change, label: string, before: State | null): Promise<void> {
    for (let n = 1; ; n += 1) {
      const { state } = this.doc;
      if (!state) return;
      const patch = change(state.document);
      if (same(state.document, patch)) {
        if (this.doc.change === change) this.doc.change = null;
        this.shown.ring();
        return;
      }
      try {
        await this.taken(await this.server.change(state.revision, patch, label), change);
        this.notices.clear();
        if (before) this.overtook(before.revision, patch, label);
        return;
      } catch (error) {
        if (!stale(error) || n === TRIES) throw error;
        await this.catchUp();
      }
    }
  }

  /** Say what another hand had set in the same place after a revision; what this one had is no news to it. */
  private overtook(since: number, patch: { path: string }[], label: string): void {
    for (const { before, after } of this.theirs.filter(({ revision }) => revision > since).toReversed())
      for (const { path } of patch) {
        const [was, theirs] = [valueAt(before, path), valueAt(after, path)];
        if (JSON.stringify(was) === JSON.stringify(theirs)) continue;
        return this.notices.say(
          `${label}: another window had made it ${said(theirs)} meanwhile. Yours holds now; Undo brings that back.`,
        );
      }
  }

  /**
   * Carry out an edit that the core computes, as one step. Gives the problem when it was refused.
   * What it made is chosen, unless the hand has chosen something else before the answer came. `told`: a refusal is told
   * for all to see; a field tells its own beside itself.
   */
  edit(what: Edit, chosen: (id: string) => void = () => {}, told = true): Promise<Problem | null> {
    void this.settle();
    const answered = this.unlessTurned(chosen);
    return this.inLine(async () => {
      try {
        const answer = await this.again(() => this.server.edit(this.doc.revision, what));
        await this.taken(answer.step);
        this.notices.clear();
        if (answer.chosen) answered(answer.chosen);
        return null;
      } catch (error) {
        const problem = await this.refusal(error);
        if (problem && told && !this.notices.notice) this.notices.warn(problem.message);
        return problem;
      }
    });
  }

  /** Undo or redo. Where another window was faster, nothing is, and it is said. */
  move(way: 'undo' | 'redo'): Promise<void> {
    void this.settle();
    return this.inLine(async () => {
      if (!this.doc.state?.[way]) return;
      try {
        await this.taken(await this.server[way](this.doc.revision));
      } catch (error) {
        if (stale(error)) {
          await this.catchUp();
          this.notices.warn(
            `Another window has changed the site meanwhile; nothing was ${way === 'undo' ? 'undone' : 'redone'}.`,
          );
        } else await this.refusal(error);
      }
    });
  }

  /** Put another site in place of the present one, after what is being kept. */
  exchange(call: (revision: number) => Promise<Step>): Promise<Problem | null> {
    void this.settle();
    return this.inLine(async () => {
      try {
        await this.taken(await this.again(() => call(this.doc.revision)));
        return null;
      } catch (error) {
        return this.refusal(error);
      }
    });
  }

  private async again<T>(call: () => Promise<T>): Promise<T> {
    for (let n = 1; ; n += 1)
      try {
        return await call();
      } catch (error) {
        if (!stale(error) || n === TRIES) throw error;
        await this.catchUp();
      }
  }

  private async taken(step: Step, kept: Change | null = null): Promise<void> {
    this.doc.take(this.doc.after(step) ?? (await this.server.state()), kept);
    this.shown.ring();
  }

  /** Take over what has been changed elsewhere, once what is being kept here is. */
  follow(revision: number): Promise<void> {
    this.heard = Math.max(this.heard, revision);
    if (!this.doc.state) return Promise.resolve();
    return this.inLine(async () => {
      if (revision > this.doc.revision)
        await this.catchUp().catch((error: unknown) => this.notices.tell(error));
    });
  }

  /** Take over what was heard of while the site itself was still being fetched. */
  missed(): Promise<void> {
    return this.follow(this.heard);
  }

  private async catchUp(): Promise<void> {
    const before = this.doc.state?.document;
    await this.taken(await this.server.since(this.doc.revision));
    const { state } = this.doc;
    if (!before || !state) return;
    const change = { revision: state.revision, before, after: state.document };
    this.theirs = [...this.theirs.slice(1 - REMEMBERED), change];
  }

  private async refusal(error: unknown): Promise<Problem | null> {
    if (error instanceof GoneError) {
      this.notices.warn(error.message);
      return GONE(error);
    }
    if (!(error instanceof Refused)) throw error;
    if (error.status === 0 || error.status === 409) this.notices.tell(error);
    return error.problem;
  }
}

function stale(error: unknown): boolean {
  return error instanceof Refused && error.status === 409;
}

function same(document: Site, patch: Parameters<typeof patched>[1]): boolean {
  return JSON.stringify(patched(document, patch)) === JSON.stringify(document);
}

function valueAt(site: Site, path: string): unknown {
  try {
    return at(site, path);
  } catch {
    return undefined;
  }
}

function said(value: unknown): string {
  if (value === null || value === undefined) return 'nothing';
  return typeof value === 'object' ? 'something else' : String(value);
}
