import * as client from '../api/client';
import { Refused } from '../api/answer';
import type { Band, Banner, Site, WithoutBanner } from '../api/types';
import type { Doc } from './doc.svelte';
import type { Edits } from './edits.svelte';
import type { Notices } from './notices.svelte';
import type { Selection } from './selection.svelte';
import { given } from './target';

/** Whole banners of one band, each by another idea: made while they are in sight. */
export class Banners {
  open = $state(false);
  found = $state.raw<Banner[]>([]);
  without = $state.raw<WithoutBanner[]>([]);
  /** The banner that more like it are made of; null: six by six ideas. */
  like = $state.raw<Banner | null>(null);
  /** The one that is shown on the screens, and not kept. */
  tried = $state.raw<Banner | null>(null);
  /** How far it is, 0..1. */
  share = $state(1);
  /** Why none can be made. */
  problem = $state('');
  private stopping = new AbortController();
  /** The site that they were made for. */
  private of: Site | undefined;
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

  /** The band that they are made of: the chosen one or, of a join, the banner that stands on it; null where none is. */
  get band(): Band | null {
    const { area, bands } = this.selection;
    if (area?.join) return bands.find((b) => b.role === 'banner') ?? null;
    const band = area?.kind === 'page' ? null : this.selection.band;
    return band && band.role !== 'header' && band.role !== 'footer' ? band : null;
  }

  toggle(): void {
    if (this.open) this.close();
    else this.begin();
  }

  begin(): void {
    this.open = true;
  }

  close(): void {
    if (!this.open) return;
    this.stop();
    this.open = false;
    this.made = '';
    this.found = [];
    this.without = [];
    this.like = null;
    this.problem = '';
    this.leave();
  }

  /** Stop what is being made; what was made stays. */
  stop(): void {
    this.stopping.abort();
    this.share = 1;
  }

  /** The state of the site and the band that they were made for. */
  private made = '';

  /** Make them, once for a state of the site and a band. */
  async make(like: Banner | null = null): Promise<void> {
    const band = this.band;
    if (!band) return;
    const key = `${this.doc.revision} ${band.id} ${like ? `${like.idea} ${like.number}` : ''}`;
    if (this.made === key) return;
    this.made = key;
    this.of = this.doc.state?.document;
    this.like = like;
    this.found = like ? [like] : [];
    this.without = [];
    this.problem = '';
    this.share = 0;
    this.leave();
    this.stopping.abort();
    const stopping = new AbortController();
    this.stopping = stopping;
    const asked = {
      ...this.selection.asked,
      patch: [],
      band: band.id,
      like: like?.idea ?? null,
      number: like?.number ?? 0,
    };
    try {
      for await (const line of client.banners(asked, stopping.signal)) {
        if (line.kind === 'banner') this.found = [...this.found, line.found];
        else if (line.kind === 'without') this.without = [...this.without, line];
        if (line.kind === 'banner' || line.kind === 'without') this.share = line.share;
      }
    } catch (error) {
      if (stopping.signal.aborted || error instanceof DOMException) return;
      if (error instanceof Refused && error.status === 422) this.problem = error.message;
      else if (!(error instanceof Refused) || (error.status !== 409 && error.status !== 410))
        this.notices.tell(error);
    }
    if (this.stopping === stopping) this.share = 1;
  }

  /** Show one on all screens while it is rested on. */
  try(banner: Banner): void {
    this.tried = banner;
    this.edits.show(given(banner.patch, this.of));
  }

  leave(): void {
    this.tried = null;
    this.edits.forget();
  }

  /** Take one, as one step; its band is chosen then, with all its words, wherever its picture lies in it. */
  async take(banner: Banner): Promise<void> {
    const { band } = this;
    const change = given(banner.patch, this.of);
    const problem = await this.edits.keep(change, `Whole banner: ${banner.title}`, () => {
      if (band) this.selection.choose(band.id);
    });
    if (!problem) this.close();
  }
}
