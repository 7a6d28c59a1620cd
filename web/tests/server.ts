import { Refused } from '../src/api/answer';
import { patched } from '../src/api/patch';
import type { Operation, Site, State, Step } from '../src/api/types';
import type { Server } from '../src/state/edits.svelte';
import { stateOf } from './site';

/** The server's side of editing, in memory: steps with undo and redo, and refusals of what is based on an old state. */
export class PlainServer implements Pick<Server, 'change' | 'undo' | 'redo' | 'since' | 'state'> {
  steps: { document: Site; label: string; patch: Operation[] }[];
  at = 0;
  revision = 1;
  /** How long an answer takes, ms; 0: the next microtask. */
  delay: () => number = () => 0;

  constructor(document: Site) {
    this.steps = [{ document, label: 'the first', patch: [] }];
  }

  get document(): Site {
    return this.steps[this.at]!.document;
  }

  private async wait(): Promise<void> {
    const ms = this.delay();
    if (ms > 0) await new Promise((resolve) => setTimeout(resolve, ms));
    else await Promise.resolve();
  }

  private checked(revision: number): void {
    if (revision !== this.revision)
      throw new Refused(409, { kind: 'stale', message: 'The site has moved on.', path: '$' });
  }

  private taken(since: number): Step {
    const { document, ...rest } = this.now();
    return { ...rest, since, patch: null, document } as unknown as Step;
  }

  now(): State {
    const state = stateOf(this.revision, this.document);
    return {
      ...state,
      undo: this.at > 0 ? this.steps[this.at]!.label : null,
      redo: this.steps[this.at + 1]?.label ?? null,
    };
  }

  change = async (revision: number, patch: Operation[], label: string): Promise<Step> => {
    await this.wait();
    this.checked(revision);
    this.steps = [
      ...this.steps.slice(0, this.at + 1),
      { document: patched(this.document, patch), label, patch },
    ];
    this.at += 1;
    this.revision += 1;
    return this.taken(revision);
  };

  private move(revision: number, by: number): Step {
    this.checked(revision);
    this.at += by;
    this.revision += 1;
    return this.taken(revision);
  }

  undo = async (revision: number): Promise<Step> => {
    await this.wait();
    return this.move(revision, -1);
  };

  redo = async (revision: number): Promise<Step> => {
    await this.wait();
    return this.move(revision, 1);
  };

  since = async (revision: number): Promise<Step> => {
    await this.wait();
    return this.taken(revision);
  };

  state = async (): Promise<State> => {
    await this.wait();
    return this.now();
  };
}
