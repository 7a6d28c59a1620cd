import * as client from '../api/client';
import type { Asset, ImageLayer, Operation } from '../api/types';
import type { Bench } from './bench.svelte';
import { freeId } from './ids';

export type Upload = { id: number; name: string; done: number; problem: string | null; stop: () => void };

/** Pictures on their way in. A picture that arrives is put behind the words of the present band. */
export class Uploads {
  list = $state<Upload[]>([]);
  private counter = 0;
  private readonly bench: Bench;

  constructor(bench: Bench) {
    this.bench = bench;
  }

  dismiss(id: number): void {
    this.list = this.list.filter((u) => u.id !== id);
  }

  async bring(files: File[]): Promise<void> {
    for (const file of files) await this.one(file);
  }

  private async one(file: File): Promise<void> {
    const abort = new AbortController();
    const id = ++this.counter;
    this.list = [
      ...this.list.filter((u) => !u.problem),
      { id, name: file.name, done: 0, problem: null, stop: () => abort.abort() },
    ];
    const update = (part: Partial<Upload>) => {
      this.list = this.list.map((u) => (u.id === id ? { ...u, ...part } : u));
    };
    try {
      const asset = await client.addPicture(file, (done) => update({ done }), abort.signal);
      await this.place(asset);
      this.dismiss(id);
    } catch (error) {
      if (error instanceof DOMException) this.dismiss(id);
      else update({ problem: error instanceof Error ? error.message : 'The picture was not taken.' });
    }
  }

  private async place(asset: Asset): Promise<void> {
    const { bench } = this;
    const site = bench.site;
    if (!site) return;
    const patch: Operation[] = [];
    if (!site.assets?.some((a) => a.id === asset.id))
      patch.push({ op: 'add', path: '/assets/-', value: asset });
    const chosen = bench.layer?.kind === 'image' ? bench.layer : bench.layers.find((l) => l.kind === 'image');
    let card: string;
    if (chosen) {
      const path = bench.layerPath(chosen.id);
      card = chosen.id;
      patch.push({ op: 'replace', path: `${path}/asset`, value: asset.id });
      patch.push({ op: 'replace', path: `${path}/name`, value: asset.name.replace(/\.[^.]+$/, '') });
      patch.push({ op: 'replace', path: `${path}/focal`, value: [0.5, 0.5] });
    } else {
      const layer = imageLayer(freeId('picture', bench.page), asset);
      card = layer.id;
      patch.push({ op: 'add', path: `${bench.bandPath}/backdrop/layers/0`, value: layer });
    }
    const problem = await bench.keep(patch, `Put ${asset.name} behind ${bench.band?.name ?? 'the words'}`);
    if (problem) throw new Error(problem.message);
    bench.chooseCard(card);
    if (asset.note) bench.notice = { text: `${asset.name}: ${asset.note}`, tone: 'plain' };
  }
}

/** A new layer that shows a picture. */
export function imageLayer(id: string, asset: Asset): ImageLayer {
  const name = asset.name.replace(/\.[^.]+$/, '');
  return {
    kind: 'image',
    id,
    name,
    asset: asset.id,
    size: 'cover',
    focal: [0.5, 0.5],
    visible: true,
    opacity: 1,
  };
}
