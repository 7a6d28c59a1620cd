import * as client from '../api/client';
import { Refused } from '../api/answer';
import type { Asset } from '../api/types';
import type { Doc } from './doc.svelte';
import type { Edits } from './edits.svelte';
import type { Notices } from './notices.svelte';
import type { Selection } from './selection.svelte';
import { given } from './target';

/** A site that nothing was done with yet: a picture and a line of words become its first page, or a sample is opened. */
export class Beginning {
  /** The picture that was handed in, and how far it is on its way, 0..1. */
  asset = $state.raw<Asset | null>(null);
  arriving = $state<{ name: string; done: number } | null>(null);
  words = $state('');
  /** What is being done, how far that is, and whether it can be stopped; null: nothing. */
  doing = $state<{ what: string; words: string; share: number | null } | null>(null);
  problem = $state('');
  /** Somebody goes on with the page as it is. */
  left = $state(false);
  private stopping = new AbortController();
  private readonly doc: Doc;
  private readonly edits: Edits;
  private readonly selection: Selection;
  private readonly notices: Notices;

  constructor(doc: Doc, edits: Edits, selection: Selection, notices: Notices) {
    this.doc = doc;
    this.edits = edits;
    this.selection = selection;
    this.notices = notices;
  }

  /** Whether nothing was done with the site yet: its one page has words, and nothing behind them but plain colours. */
  get fresh(): boolean {
    const { state } = this.doc;
    if (!state || this.left) return false;
    const { assets, pages } = state.document;
    const bare = pages.every((page) => page.bands.every((band) => band.backdrop.layers.length === 0));
    return !state.undo && assets.length === 0 && pages.length === 1 && bare;
  }

  get ready(): boolean {
    return !this.doing && !this.arriving && (this.asset !== null || this.words.trim() !== '');
  }

  /** Take the first of some pictures in; it waits here until the words are there. */
  async take(files: File[]): Promise<void> {
    const [file, ...others] = files;
    if (!file || this.doing) return;
    this.stop();
    if (others.length > 0)
      this.notices.say(`${file.name} is what you begin with. Bring the others once you have begun.`);
    await this.follow(async (signal) => {
      this.arriving = { name: file.name, done: 0 };
      const told = (done: number) => (this.arriving = { name: file.name, done });
      const { asset, healed } = await client.addPicture(file, told, signal);
      this.asset = asset;
      if (healed) this.notices.say(`${asset.name} was damaged on the disk. It is whole again.`);
      if (asset.note) this.notices.say(`${asset.name}: ${asset.note}`);
      this.arriving = null;
    });
  }

  /** Put them together so that they can be read, as one step. */
  async putTogether(): Promise<void> {
    const { state } = this.doc;
    if (!state || !this.ready) return;
    const page = this.selection.page?.id ?? '';
    const asked = { revision: state.revision, page, asset: this.asset, words: this.words };
    await this.follow(async (signal) => {
      this.doing = { what: 'Putting them together', words: '', share: 0 };
      for await (const line of client.begin(asked, signal)) {
        if (line.kind === 'doing')
          this.doing = { what: 'Making it readable', words: line.words, share: line.share };
        else if (line.kind === 'begun') {
          const left = line.left.map((words) => `'${words}'`).join(', ');
          const problem = await this.edits.keep(
            given(line.patch, state.document),
            'Begin with a picture and words',
          );
          if (!problem && left) this.notices.warn(`No way was found to make ${left} readable everywhere.`);
        }
      }
    });
    this.doing = null;
  }

  /** A new site out of a site file, or the sample: its id, or null where it was stopped or refused. */
  async open(file: File | null): Promise<string | null> {
    let site: string | null = null;
    if (this.doing) return null;
    await this.follow(async (signal) => {
      this.doing = {
        what: file ? `Opening ${file.name}` : 'Making the sample',
        words: '',
        share: file ? null : 0,
      };
      if (file) site = (await client.openAsSite(file)).site;
      else
        for await (const line of client.openSample(signal)) {
          if (line.kind === 'doing')
            this.doing = { what: 'Making the sample', words: line.words, share: line.share };
          else if (line.kind === 'site') site = line.site;
        }
    });
    this.doing = null;
    return site;
  }

  /** Stop what is under way; nothing of it is kept, and what was given stays. */
  stop(): void {
    this.stopping.abort();
  }

  private async follow(work: (signal: AbortSignal) => Promise<void>): Promise<void> {
    const stopping = (this.stopping = new AbortController());
    this.problem = '';
    try {
      await work(stopping.signal);
    } catch (error) {
      // what was begun after it goes on
      if (this.stopping === stopping) this.arriving = null;
      if (stopping.signal.aborted || (error instanceof Refused && error.status === 410)) return;
      this.problem = error instanceof Error ? error.message : 'That did not work; nothing was changed.';
    }
  }
}
