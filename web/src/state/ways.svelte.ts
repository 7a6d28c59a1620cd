import * as client from '../api/client';
import { Refused } from '../api/answer';
import type { Block, Design, PlightLine, Remedy, Site } from '../api/types';
import type { Doc } from './doc.svelte';
import type { Edits } from './edits.svelte';
import type { Findings } from './findings.svelte';
import type { Notices } from './notices.svelte';
import type { Selection } from './selection.svelte';
import { given } from './target';

/** Ways out for one block of words, or for the whole page: sought as long as they are in sight. */
export class Ways {
  open = $state(false);
  /** Whose ways out are sought. */
  blockId = $state('');
  plight = $state.raw<PlightLine | null>(null);
  found = $state.raw<Remedy[]>([]);
  /** How far the search is, 0..1. */
  share = $state(0);
  /** The whole page mended, in several ways; null: not asked for. */
  designs = $state.raw<Design[] | null>(null);
  /** What is being tried, while a whole page is mended. */
  doing = $state<string | null>(null);
  private stopping = new AbortController();
  /** The site that ways out were sought for. */
  private of: Site | undefined;
  private readonly doc: Doc;
  private readonly edits: Edits;
  private readonly selection: Selection;
  private readonly findings: Findings;
  private readonly notices: Notices;

  constructor(doc: Doc, edits: Edits, selection: Selection, findings: Findings, notices: Notices) {
    this.doc = doc;
    this.edits = edits;
    this.selection = selection;
    this.findings = findings;
    this.notices = notices;
  }

  get block(): Block | null {
    return this.words.find((b) => b.id === this.blockId) ?? this.words[0] ?? null;
  }

  /** The page's words, those that fall short first. */
  get words(): Block[] {
    const all = this.selection.areas[0]?.blocks.filter((b) => this.doc.kind(b).lettered) ?? [];
    return all.toSorted((a, b) => Number(this.isShort(b.id)) - Number(this.isShort(a.id)));
  }

  isShort(block: string): boolean {
    const here = this.findings.readings.some((r) => r.block === block && r.verdict === 'short');
    return here || (this.findings.everyNow?.blocks.some((b) => b.id === block && b.trouble) ?? false);
  }

  toggle(): void {
    if (this.open) this.close();
    else this.begin();
  }

  /** Open for the chosen words where they fall short, otherwise for those that do. */
  begin(block?: string): void {
    const chosen = this.selection.block?.id ?? '';
    const short = this.words.filter((b) => this.isShort(b.id)).map((b) => b.id);
    this.blockId = block ?? (short.includes(chosen) ? chosen : (short[0] ?? chosen));
    this.open = true;
  }

  close(): void {
    if (!this.open) return;
    this.stop();
    this.sought = '';
    this.open = false;
    this.designs = null;
    this.edits.forget();
  }

  /** Stop what is being sought; what was found stays. */
  stop(): void {
    this.stopping.abort();
    this.share = 1;
    this.doing = null;
  }

  /** Seek ways out for the chosen words. */
  async seek(): Promise<void> {
    const block = this.block;
    if (!block) return;
    const key = `${this.doc.revision} ${block.id}`;
    if (this.sought === key) return;
    this.sought = key;
    this.of = this.doc.state?.document;
    const asked = { ...this.selection.asked, patch: [], block: block.id };
    this.designs = null;
    this.plight = null;
    this.found = [];
    this.share = 0;
    await this.follow(async (signal) => {
      for await (const line of client.remedies(asked, signal)) {
        if (line.kind === 'plight') this.plight = line;
        else if (line.kind === 'remedy') {
          this.share = line.share;
          this.found = [...this.found, line.found];
          this.sort();
        }
      }
    });
  }

  /** Mend the whole page at once, by one idea for each area or, `least`, block by block; not kept. */
  async mendPage(least = false): Promise<void> {
    this.of = this.doc.state?.document;
    const asked = { ...this.selection.asked, patch: [], least };
    this.edits.forget();
    this.doing = '';
    this.share = 0;
    await this.follow(async (signal) => {
      for await (const line of client.mendPage(asked, signal)) {
        if (line.kind === 'doing') {
          this.doing = line.words;
          this.share = line.share;
        } else if (line.kind === 'mended') {
          this.designs = least ? [...(this.designs ?? []), ...line.found] : line.found;
        }
      }
    });
  }

  private async follow(work: (signal: AbortSignal) => Promise<void>): Promise<void> {
    this.stopping.abort();
    const stopping = new AbortController();
    this.stopping = stopping;
    try {
      await work(stopping.signal);
    } catch (error) {
      if (stopping.signal.aborted || error instanceof DOMException) return;
      if (!(error instanceof Refused) || (error.status !== 409 && error.status !== 410))
        this.notices.tell(error);
    }
    if (this.stopping === stopping) {
      this.share = 1;
      this.doing = null;
      this.sort();
    }
  }

  /** The state of the site and the words that ways out were sought for. */
  private sought = '';
  private resting = false;

  /** While somebody rests on them, nothing changes its place: what is found then comes last. */
  rest(on: boolean): void {
    this.resting = on;
    this.sort();
  }

  private sort(): void {
    if (!this.resting) this.found = this.found.toSorted((a, b) => b.kept - a.kept);
  }

  /** Show a way out on all screens while it is rested on. */
  try(way: { patch: Remedy['patch'] }): void {
    this.edits.show(given(way.patch, this.of));
  }

  leave(): void {
    this.edits.forget();
  }

  /** Keep a way out as one step. */
  async apply(remedy: Remedy): Promise<void> {
    await this.edits.keep(given(remedy.patch, this.of), `${remedy.title}: ${remedy.sentence}`.slice(0, 200));
  }

  /** Keep a whole page mended as one step. */
  async keepDesign(design: Design): Promise<void> {
    await this.edits.keep(given(design.patch, this.of), `Mend the page: ${design.title}`.slice(0, 200));
    this.designs = null;
  }

  leaveDesigns(): void {
    this.sought = '';
    this.designs = null;
    this.edits.forget();
  }
}
