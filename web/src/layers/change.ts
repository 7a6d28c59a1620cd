import type { Layer, Operation, Over } from '../api/types';
import type { Bench } from '../bench/bench.svelte';

type Values = Record<string, unknown>;
const ANSWERS = ['opacity', 'colour'];

/** A backdrop's state for the pointer, with something of it changed. */
function withOver(bench: Bench, change: (over: Over) => Over): Operation[] {
  const over: Over = bench.area?.backdrop.over ?? { fade: 240, base: null, layers: {} };
  return [{ op: 'add', path: `${bench.backdropPath}/over`, value: change(over) }];
}

/** Operations that set values of a layer: as it is at rest, or, while the screens are pointed at, as it is then. */
export function layerPatch(bench: Bench, layer: Layer, values: Values): Operation[] {
  if (bench.pointed && Object.keys(values).every((name) => ANSWERS.includes(name)))
    return withOver(bench, (over) => ({
      ...over,
      layers: { ...over.layers, [layer.id]: { ...over.layers?.[layer.id], ...values } },
    }));
  const path = bench.layerPath(layer.id);
  return Object.entries(values).map(([name, value]) => ({ op: 'add', path: `${path}/${name}`, value }));
}

/** The same for the base colour. */
export function basePatch(bench: Bench, colour: string | null): Operation[] {
  if (bench.pointed) return withOver(bench, (over) => ({ ...over, base: colour }));
  return [{ op: 'add', path: `${bench.backdropPath}/base`, value: colour }];
}

export const fadePatch = (bench: Bench, fade: number): Operation[] =>
  withOver(bench, (over) => ({ ...over, fade }));

/** The layer as the screens show it now. */
export function shownLayer<T extends Layer>(bench: Bench, layer: T): T {
  const own = bench.pointed ? bench.area?.backdrop.over?.layers?.[layer.id] : null;
  if (!own) return layer;
  const given = Object.fromEntries(Object.entries(own).filter(([, value]) => value !== null));
  return { ...layer, ...given };
}

/** Show a change of a layer, and keep it. */
export const showLayer = (bench: Bench, layer: Layer, values: Values): void =>
  bench.show(layerPatch(bench, layer, values));
export const keepLayer = (bench: Bench, layer: Layer, values: Values, label: string) =>
  bench.keep(layerPatch(bench, layer, values), bench.pointed ? `${label}, pointer over` : label);
