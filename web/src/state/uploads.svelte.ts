import * as client from '../api/client';
import type { Asset, ImageLayer, Problem } from '../api/types';
import { isFont } from './fonts';
import type { Edits } from './edits.svelte';
import type { Notices } from './notices.svelte';
import type { Selection } from './selection.svelte';

export type Upload = { id: number; name: string; done: number; problem: string | null; stop: () => void };

/** Where a picture is to be shown. */
type Place = { page: string; area: string; layer: string | null };

const AT_ONCE = 3;

/** Pictures and fonts on their way in. The first picture may be put behind the words of the present area. */
export class Uploads {
  list = $state<Upload[]>([]);
  /** Counts what has come onto the shelf, so that views know when to look again. */
  arrived = $state(0);
  private counter = 0;
  private readonly edits: Edits;
  private readonly selection: Selection;
  private readonly notices: Notices;

  constructor(edits: Edits, selection: Selection, notices: Notices) {
    this.edits = edits;
    this.selection = selection;
    this.notices = notices;
  }

  dismiss(id: number): void {
    this.list = this.list.filter((u) => u.id !== id);
  }

  /** Bring files in, three at a time; with `lay` the first one is shown in the present area at once. */
  async bring(files: File[], lay: boolean): Promise<void> {
    this.list = this.list.filter((u) => !u.problem);
    // where it shall be laid is known now; what is chosen when it arrives may be something else
    const place = lay ? this.place(null) : null;
    const first = files.find((file) => !isFont(file.name));
    const queue = files.map((file) => ({
      file,
      lay: file === first ? place : null,
      upload: this.listed(file),
    }));
    const take = async (): Promise<void> => {
      for (let next = queue.shift(); next; next = queue.shift())
        await this.one(next.file, next.lay, next.upload);
    };
    await Promise.all(Array.from({ length: AT_ONCE }, take));
  }

  private listed(file: File): { id: number; abort: AbortController } {
    const abort = new AbortController();
    const id = ++this.counter;
    this.list = [...this.list, { id, name: file.name, done: 0, problem: null, stop: () => abort.abort() }];
    return { id, abort };
  }

  private async one(
    file: File,
    lay: Place | null,
    { id, abort }: { id: number; abort: AbortController },
  ): Promise<void> {
    const update = (part: Partial<Upload>) => {
      this.list = this.list.map((u) => (u.id === id ? { ...u, ...part } : u));
    };
    if (abort.signal.aborted) return this.dismiss(id);
    try {
      if (isFont(file.name)) {
        await this.font(file, (done) => update({ done }), abort.signal);
        return this.dismiss(id);
      }
      const { asset, healed } = await client.addPicture(file, (done) => update({ done }), abort.signal);
      const problem = lay ? await this.layAt(asset, lay) : await this.shelve(asset);
      if (problem) throw new Error(problem.message);
      if (healed) this.notices.say(`${asset.name} was damaged on the disk. It is whole again.`);
      this.arrived += 1;
      this.dismiss(id);
    } catch (error) {
      if (error instanceof DOMException) this.dismiss(id);
      else update({ problem: error instanceof Error ? error.message : 'The picture was not taken.' });
    }
  }

  /** Put a font on the shelf, as a step of its own. */
  private async font(file: File, told: (done: number) => void, signal: AbortSignal): Promise<void> {
    const problem = await this.edits.exchange((revision) => client.addFont(file, revision, told, signal));
    if (problem && problem.kind !== 'already-there') throw new Error(problem.message);
    this.notices.say(problem ? problem.message : `${file.name} is on the shelf; words can be set in it.`);
    this.arrived += 1;
  }

  /** Put a picture on the shelf; it is there once, however often it comes. */
  async shelve(asset: Asset): Promise<Problem | null> {
    const problem = await this.edits.edit({ kind: 'shelve-picture', asset });
    if (problem?.kind === 'already-there') {
      this.notices.say(problem.message);
      return null;
    }
    if (!problem) this.note(asset);
    return problem;
  }

  /** Show a picture in the present area: in a layer, in its lowest picture layer, or in a new one. */
  lay(asset: Asset, layer: ImageLayer | null, then: () => void = () => {}): Promise<Problem | null> {
    return this.layAt(asset, this.place(layer), then);
  }

  private place(layer: ImageLayer | null): Place {
    const { page, area, picture } = this.selection;
    return { page: page?.id ?? '', area: area?.id ?? '', layer: (layer ?? picture)?.id ?? null };
  }

  private async layAt(asset: Asset, place: Place, then: () => void = () => {}): Promise<Problem | null> {
    const problem = await this.edits.edit({ kind: 'lay-picture', ...place, asset }, (card) => {
      if (this.selection.area?.id === place.area) this.selection.chooseCard(card);
      then();
    });
    if (!problem) this.note(asset);
    return problem;
  }

  private note(asset: Asset): void {
    if (asset.note) this.notices.say(`${asset.name}: ${asset.note}`);
  }
}
