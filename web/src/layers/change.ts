import { untrack } from 'svelte';
import type { Backdrop, Layer, Over, Problem } from '../api/types';
import type { Bench } from '../state/bench';
import { useBench } from '../state/context';
import type { Values } from '../state/editor';
import { alter, put, type Change, type Target } from '../state/target';

const ANSWERS = ['opacity', 'colour'];

/** The state of an area's backdrop for the pointer, with something of it changed. */
function withOver(area: Target, how: (over: Over) => Over): Change {
  return alter<{ backdrop?: Backdrop }>(area, ({ backdrop }) => ({
    'backdrop/over': how(backdrop?.over ?? { fade: 240, base: null, layers: {} }),
  }));
}

/** Set values of a layer: as it is at rest, or, where it is `over`, as it is while it is pointed at. */
function layerChange(target: Target, values: Values, over: boolean): Change {
  const id = target.layer ?? '';
  if (!over || !Object.keys(values).every((name) => ANSWERS.includes(name))) return put(target, values);
  return withOver({ page: target.page, area: target.area }, (state) => ({
    ...state,
    layers: { ...state.layers, [id]: { ...state.layers?.[id], ...values } },
  }));
}

/** The same for an area's base colour. */
export function baseChange(area: Target, colour: string | null, over: boolean): Change {
  if (over) return withOver(area, (state) => ({ ...state, base: colour }));
  return put(area, { 'backdrop/base': colour });
}

export const fadeChange = (area: Target, fade: number): Change =>
  withOver(area, (over) => ({ ...over, fade }));

/** Shows and keeps settings of one layer, at rest or pointed at, as the screens are. */
export class LayerEditor {
  readonly target: Target;
  private readonly bench: Pick<Bench, 'edits' | 'selection' | 'sight'>;

  constructor(bench: Pick<Bench, 'edits' | 'selection' | 'sight'>, id: string) {
    this.bench = bench;
    this.target = bench.selection.layerTarget(id);
  }

  /** `screen`: on that one alone; what differs by screen does not answer to the pointer. */
  show(values: Values, screen: string | null = null): void {
    const { edits, sight } = this.bench;
    edits.show(screen ? put(this.target, values, screen) : layerChange(this.target, values, sight.pointed));
  }

  keep(values: Values, label: string, screen: string | null = null): Promise<Problem | null> {
    const { edits, sight } = this.bench;
    if (screen) return edits.keep(put(this.target, values, screen), label);
    return edits.keep(
      layerChange(this.target, values, sight.pointed),
      sight.pointed ? `${label}, pointer over` : label,
    );
  }
}

/** An editor of a layer for as long as its settings are open. */
export function layerEditor(layer: () => Layer): LayerEditor {
  const bench = useBench();
  return untrack(() => new LayerEditor(bench, layer().id));
}

/** A layer as the screens show it now. */
export function shownLayer<T extends Layer>(
  { selection, sight }: Pick<Bench, 'selection' | 'sight'>,
  layer: T,
): T {
  const own = sight.pointed ? selection.area?.backdrop.over?.layers?.[layer.id] : null;
  if (!own) return layer;
  const given = Object.fromEntries(Object.entries(own).filter(([, value]) => value !== null));
  return { ...layer, ...given };
}
