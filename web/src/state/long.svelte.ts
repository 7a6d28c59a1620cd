import { Refused } from '../api/answer';
import type { Notices } from './notices.svelte';

type Doing = { kind: 'doing'; words: string; share: number };
type Found<T> = { kind: 'found'; found: T };
export type Lines<T> = AsyncGenerator<Doing | Found<T> | { kind: 'problem' }>;

/** What a computation was made for. */
export type For = { revision: number; page: string };

/** A computation that takes a while: it tells how far it is, can be stopped, and goes on whatever view is looked at. */
export class Long<T> {
  /** What was found last, and for what. It stays in sight while it is looked at anew. */
  found = $state.raw<(For & { value: T }) | null>(null);
  /** How far it is, 0..1; null: nothing is under way. */
  share = $state<number | null>(null);
  /** What is being looked at. */
  doing = $state('');
  /** Whether it was stopped before its end. */
  stopped = $state(false);
  private under: (For & { abort: AbortController }) | null = null;
  private readonly notices: Notices;

  constructor(notices: Notices) {
    this.notices = notices;
  }

  /** What was found for a state of a page; null where it was not. */
  of({ revision, page }: For): T | null {
    return this.found?.revision === revision && this.found.page === page ? this.found.value : null;
  }

  /** Begin, unless it is under way or found already for the same. */
  async begin(wanted: For, ask: (signal: AbortSignal) => Lines<T>): Promise<void> {
    if (this.of(wanted) !== null) return;
    if (this.under?.revision === wanted.revision && this.under.page === wanted.page) return;
    this.under?.abort.abort();
    const under = { ...wanted, abort: new AbortController() };
    this.under = under;
    this.share = 0;
    this.doing = '';
    this.stopped = false;
    try {
      for await (const line of ask(under.abort.signal)) {
        if (this.under !== under) return;
        if (line.kind === 'doing') {
          this.share = Math.max(this.share ?? 0, line.share);
          this.doing = line.words;
        } else if (line.kind === 'found') this.found = { ...wanted, value: line.found };
      }
    } catch (error) {
      const late = error instanceof Refused && (error.status === 409 || error.status === 410);
      if (!late && !(error instanceof DOMException)) this.notices.tell(error);
    }
    if (this.under === under) {
      this.under = null;
      this.share = null;
    }
  }

  /** What was found does not hold any more. */
  forget(): void {
    this.under?.abort.abort();
    this.under = null;
    this.share = null;
    this.found = null;
  }

  /** Stop it. What was found before stays. */
  stop(): void {
    this.under?.abort.abort();
    this.under = null;
    this.share = null;
    this.stopped = true;
  }
}
