import type { Backdrop, Layer, Problem } from '../api/types';
import { at } from '../api/patch';
import { isFilm } from '../layers/members';
import type { Bench } from '../state/bench';
import { pathOf, put, type Change } from '../state/target';

type Parts = Pick<Bench, 'doc' | 'edits' | 'selection'>;

export function setVisible({ edits, selection }: Parts, layer: Layer, visible: boolean): void {
  const change = put(selection.layerTarget(layer.id), { visible });
  void edits.keep(change, `${visible ? 'Show' : 'Hide'} ${layer.name}`);
}

/** Move a layer of the chosen area to a place among its layers. */
export function moveLayer({ edits, selection }: Parts, id: string, to: number): void {
  const { layers, target } = selection;
  if (to < 0 || to >= layers.length) return;
  const name = layers.find((l) => l.id === id)?.name ?? 'layer';
  const change: Change = (site) => [
    {
      op: 'move',
      from: pathOf(site, { ...target, layer: id }),
      path: `${pathOf(site, target)}/backdrop/layers/${to}`,
    },
  ];
  void edits.keep(change, `Move ${name}`);
}

export function removeLayer({ edits, selection }: Parts, layer: Layer): Promise<Problem | null> {
  const area = selection.target;
  const n = selection.layers.findIndex((l) => l.id === layer.id);
  const change: Change = (site) => {
    const path = pathOf(site, { ...area, layer: layer.id });
    const { backdrop } = at(site, pathOf(site, area)) as { backdrop?: Backdrop };
    // what it would change to under the pointer goes with it
    const over = backdrop?.over?.layers?.[layer.id]
      ? [{ op: 'remove' as const, path: `${pathOf(site, area)}/backdrop/over/layers/${layer.id}` }]
      : [];
    return [{ op: 'remove', path }, ...over];
  };
  return edits.keep(change, `Remove ${layer.name}`, () => {
    const left = selection.layers;
    selection.chooseCard((left[n - 1] ?? left[0])?.id ?? 'base');
  });
}

/** Lay a layer in; the core gives ids to it and to what it is made of. */
async function layIn(
  { edits, selection }: Parts,
  layer: Layer,
  at: number,
  then: () => void = () => {},
): Promise<void> {
  const { page, area } = selection;
  if (!page || !area) return;
  await edits.edit({ kind: 'lay-in', page: page.id, area: area.id, layer, at }, (card) => {
    selection.chooseCard(card);
    then();
  });
}

export function duplicateLayer(parts: Parts, layer: Layer): Promise<void> {
  const { selection } = parts;
  return layIn(parts, layer, selection.layers.findIndex((l) => l.id === layer.id) + 1);
}

/** Lay something in at a place of the build-up. A picture is laid by the core, which finds its focal point. */
export async function addLayer(
  parts: Parts,
  wanted: Record<string, unknown>,
  place: number,
  then: () => void = () => {},
): Promise<void> {
  const { edits, selection } = parts;
  const { page, area } = selection;
  if (!page || !area) return;
  if (parts.doc.framed(wanted as Layer) && !isFilm(wanted as Layer)) {
    const asset = parts.doc.asset(String(wanted.asset));
    if (!asset) return;
    await edits.edit({ kind: 'lay-picture', page: page.id, area: area.id, asset, at: place }, (card) => {
      selection.chooseCard(card);
      then();
    });
    return;
  }
  await layIn(parts, { id: String(wanted.kind), ...wanted } as Layer, place, then);
}

export function copyLayer({ edits, selection }: Parts, layer: Layer, to: string): void {
  const { page, area } = selection;
  if (page && area)
    void edits.edit({ kind: 'copy-layer', page: page.id, area: area.id, layer: layer.id, to }, (card) =>
      selection.choose(to, card),
    );
}

export function renameLayer(
  { edits, selection }: Parts,
  layer: Layer,
  name: string,
): Promise<Problem | null> {
  return edits.keep(put(selection.layerTarget(layer.id), { name }), `Call it ${name}`);
}
