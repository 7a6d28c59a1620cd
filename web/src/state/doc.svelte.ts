import { patched } from '../api/patch';
import type {
  Block,
  Font,
  ImageLayer,
  KindOfBlock,
  Layer,
  Library,
  Operation,
  Screen,
  Site,
  State,
  Step,
} from '../api/types';
import { GoneError, type Change } from './target';

/** The site as the server keeps it, and with what is shown of it but not kept. */
export class Doc {
  state = $state.raw<State | null>(null);
  /** What is shown and not kept. */
  change = $state.raw<Change | null>(null);
  fonts = $state.raw<Font[]>([]);
  /** Which font files of the owner's the fonts were asked for with; '': not yet. */
  fontsOf = '';
  library = $state.raw<Library | null>(null);

  readonly revision = $derived(this.state?.revision ?? 0);
  /** What is shown and not kept, for the present state; nothing where it does not fit it any more. */
  readonly draft = $derived<Operation[]>(this.drawn());
  readonly site = $derived<Site | null>(this.state ? this.shown(this.state.document) : null);
  readonly screens = $derived<Screen[]>(this.site?.screens ?? []);
  readonly palette = $derived<string[]>(this.site?.palette ?? []);

  private drawn(): Operation[] {
    if (!this.state || !this.change) return [];
    try {
      return this.change(this.state.document);
    } catch (error) {
      if (error instanceof GoneError) return [];
      throw error;
    }
  }

  private shown(document: Site): Site {
    try {
      return patched(document, this.draft);
    } catch {
      return document;
    }
  }

  /** Take over what has become of the site; what was just kept is not a draft any more. */
  take(state: State, kept: Change | null = null): void {
    this.state = state;
    if (kept && this.change === kept) this.change = null;
  }

  /** The state after a step, or null where the step does not begin at the present one. */
  after(step: Step): State | null {
    const { patch, document, since, ...rest } = step;
    if (document) return { ...rest, document };
    if (!this.state || since !== this.state.revision || !patch) return null;
    return { ...rest, document: patched(this.state.document, patch as Operation[]) };
  }

  /** What blocks of a kind are made of. */
  kind(block: Block): KindOfBlock {
    const words = { kind: block.kind, name: block.kind, lettered: true, linked: false, own: [] };
    return this.library?.blocks.find((k) => k.kind === block.kind) ?? words;
  }

  /** Whether a layer is a picture, of which each screen shows a part. */
  framed(layer: Layer | null | undefined): layer is ImageLayer {
    return this.library?.kinds.find((k) => k.kind === layer?.kind)?.framed ?? false;
  }

  asset(id: string | null | undefined) {
    return this.site?.assets?.find((a) => a.id === id);
  }
}
