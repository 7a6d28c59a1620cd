import { Refused } from '../api/answer';
import * as client from '../api/client';
import type { BroughtFound } from '../api/types';

const TEXTS = /\.(css|html?|xhtml|zip)$/i;

/** Whether a file is a stylesheet, a page or a zip of them, by its name. */
export const isText = (name: string) => TEXTS.test(name);

/** A stylesheet or a page of one's own that is brought in: what was read stays at hand in every view. */
export class Bringing {
  /** What is typed or pasted. */
  text = $state('');
  found = $state.raw<BroughtFound | null>(null);
  /** The names of the files that were read together. */
  names = $state.raw<string[]>([]);
  /** What is being read; '': nothing. */
  reading = $state('');
  problem = $state('');

  async read(): Promise<void> {
    await this.begin('what was pasted', async () => {
      this.found = await client.bringText(this.text);
      this.names = [];
    });
  }

  /** Read files together: stylesheets and pages first, as pictures alone say nothing. */
  async files(files: File[], more = false): Promise<void> {
    const ordered = files.toSorted((a, b) => Number(isText(b.name)) - Number(isText(a.name)));
    let beside = more || !isText(ordered[0]?.name ?? '') ? (this.found?.id ?? null) : null;
    if (beside === null) this.names = [];
    for (const file of ordered) {
      const good = await this.begin(file.name, async () => {
        this.found = await client.bringFile(file, beside);
        beside = this.found.id;
        this.names = [...this.names, file.name];
      });
      if (!good) return;
    }
  }

  private async begin(what: string, work: () => Promise<void>): Promise<boolean> {
    this.reading = what;
    this.problem = '';
    try {
      await work();
      return true;
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      this.problem = error.problem.message;
      return false;
    } finally {
      this.reading = '';
    }
  }
}
