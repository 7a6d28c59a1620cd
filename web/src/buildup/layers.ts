import type { Asset, Layer, Operation, Problem } from '../api/types';
import type { Bench } from '../bench/bench.svelte';
import { freeId } from '../bench/ids';

const layersPath = (bench: Bench) => `${bench.areaPath}/backdrop/layers`;

export function setVisible(bench: Bench, layer: Layer, visible: boolean): void {
  const patch: Operation[] = [
    { op: 'replace', path: `${bench.layerPath(layer.id)}/visible`, value: visible },
  ];
  void bench.keep(patch, `${visible ? 'Show' : 'Hide'} ${layer.name}`);
}

export function moveLayer(bench: Bench, id: string, to: number): void {
  if (to < 0 || to >= bench.layers.length) return;
  const name = bench.layers.find((l) => l.id === id)?.name ?? 'layer';
  const patch: Operation[] = [{ op: 'move', from: bench.layerPath(id), path: `${layersPath(bench)}/${to}` }];
  void bench.keep(patch, `Move ${name}`);
}

export async function removeLayer(bench: Bench, layer: Layer): Promise<void> {
  const patch: Operation[] = [{ op: 'remove', path: bench.layerPath(layer.id) }];
  // what it would change to under the pointer goes with it
  if (bench.area?.backdrop.over?.layers?.[layer.id])
    patch.push({ op: 'remove', path: `${bench.backdropPath}/over/layers/${layer.id}` });
  if (!(await bench.keep(patch, `Remove ${layer.name}`))) bench.chooseCard(bench.layers.at(-1)?.id ?? 'base');
}

async function insert(bench: Bench, layer: Layer, at: number): Promise<void> {
  const patch: Operation[] = [{ op: 'add', path: `${layersPath(bench)}/${at}`, value: layer }];
  if (!(await bench.keep(patch, `Add ${layer.name}`))) bench.chooseCard(layer.id);
}

export function duplicateLayer(bench: Bench, layer: Layer): Promise<void> {
  const copy = { ...layer, id: freeId(layer.id.slice(0, 34), bench.page) } as Layer;
  return insert(bench, copy, bench.layers.findIndex((l) => l.id === layer.id) + 1);
}

/** Lay something in at a place of the build-up. A picture is laid by the core, which finds its focal point. */
export async function addLayer(bench: Bench, wanted: Record<string, unknown>, at: number): Promise<void> {
  const { page, area } = bench;
  if (!page || !area) return;
  if (wanted.kind === 'image') {
    const asset = wanted.asset as Asset;
    await bench.edit({ kind: 'lay-picture', page: page.id, area: area.id, asset, at }, (card) =>
      bench.chooseCard(card),
    );
    return;
  }
  const id = freeId(String(wanted.kind), page);
  await insert(bench, { opacity: 1, visible: true, ...wanted, id } as Layer, at);
}

/** A colour out of the site's darkest palette colour, at less than half its strength. */
export function addColour(bench: Bench, at: number): Promise<void> {
  const colour = bench.site?.palette?.[1] ?? bench.site?.palette?.[0] ?? '#000000';
  return addLayer(bench, { kind: 'colour', name: 'Overlay', colour, opacity: 0.4 }, at);
}

export function copyLayer(bench: Bench, layer: Layer, to: string): void {
  const { page, area } = bench;
  if (page && area)
    void bench.edit({ kind: 'copy-layer', page: page.id, area: area.id, layer: layer.id, to }, (card) =>
      bench.choose(to, card),
    );
}

export function renameLayer(bench: Bench, layer: Layer, name: string): Promise<Problem | null> {
  return bench.keep(
    [{ op: 'add', path: `${bench.layerPath(layer.id)}/name`, value: name }],
    `Call it ${name}`,
  );
}
