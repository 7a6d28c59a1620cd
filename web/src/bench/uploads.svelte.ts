import * as client from '../api/client';
import type { Asset, ImageLayer, Problem } from '../api/types';
import type { Bench } from './bench.svelte';

export type Upload = { id: number; name: string; done: number; problem: string | null; stop: () => void };

const AT_ONCE = 3;

/** Pictures on their way in. The first that arrives may be put behind the words of the present area. */
export class Uploads {
  list = $state<Upload[]>([]);
  /** Counts what has come onto the shelf, so that views know when to look again. */
  arrived = $state(0);
  private counter = 0;
  private readonly bench: Bench;

  constructor(bench: Bench) {
    this.bench = bench;
  }

  dismiss(id: number): void {
    this.list = this.list.filter((u) => u.id !== id);
  }

  /** Bring files in, three at a time; with `lay` the first one is shown in the present area at once. */
  async bring(files: File[], lay: boolean): Promise<void> {
    this.list = this.list.filter((u) => !u.problem);
    const queue = files.map((file, n) => ({ file, lay: lay && n === 0, upload: this.listed(file) }));
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
    lay: boolean,
    { id, abort }: { id: number; abort: AbortController },
  ): Promise<void> {
    const update = (part: Partial<Upload>) => {
      this.list = this.list.map((u) => (u.id === id ? { ...u, ...part } : u));
    };
    if (abort.signal.aborted) return this.dismiss(id);
    try {
      const { asset, healed } = await client.addPicture(file, (done) => update({ done }), abort.signal);
      const problem = lay ? await this.lay(asset, null) : await this.shelve(asset);
      if (problem) throw new Error(problem.message);
      if (healed)
        this.bench.notice = {
          text: `${asset.name} was damaged on the disk. It is whole again.`,
          tone: 'plain',
        };
      this.arrived += 1;
      this.dismiss(id);
    } catch (error) {
      if (error instanceof DOMException) this.dismiss(id);
      else update({ problem: error instanceof Error ? error.message : 'The picture was not taken.' });
    }
  }

  /** Put a picture on the shelf; it is there once, however often it comes. */
  async shelve(asset: Asset): Promise<Problem | null> {
    const problem = await this.bench.edit({ kind: 'shelve-picture', asset });
    if (problem?.kind === 'already-there') {
      this.bench.notice = { text: problem.message, tone: 'plain' };
      return null;
    }
    if (!problem && asset.note) this.bench.notice = { text: `${asset.name}: ${asset.note}`, tone: 'plain' };
    return problem;
  }

  /** Show a picture in the present area: in a layer, in its lowest picture layer, or in a new one. */
  async lay(asset: Asset, layer: ImageLayer | null): Promise<Problem | null> {
    const { bench } = this;
    const chosen = layer ?? (bench.layer?.kind === 'image' ? bench.layer : null);
    const target = chosen ?? bench.layers.find((l) => l.kind === 'image');
    const problem = await bench.edit(
      {
        kind: 'lay-picture',
        page: bench.page?.id ?? '',
        area: bench.area?.id ?? '',
        asset,
        layer: target?.id ?? null,
      },
      (card) => bench.chooseCard(card),
    );
    if (!problem && asset.note) bench.notice = { text: `${asset.name}: ${asset.note}`, tone: 'plain' };
    return problem;
  }
}
