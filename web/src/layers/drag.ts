import type { Layer, Screen } from '../api/types';
import type { Bench } from '../state/bench';
import type { Change, Target } from '../state/target';
import { isSequence, memberAt } from './members';

/** What a drag reads and writes. */
export type Parts = Pick<Bench, 'doc' | 'edits' | 'selection' | 'findings' | 'movement'>;

/** What was grabbed stays what is moved: the layer as it was, where it lies in the document, and for which screen. */
export type Grabbed<L extends Layer = Layer> = {
  layer: L;
  target: Target;
  scope: string | null;
  screen: Screen;
  parts: Parts;
};

/** Where the pointer is: how far it has come in px of the page, and on the page itself. */
export type Pull = { by: [number, number]; at: [number, number] };

/** What a drag on a screen does to a layer of a kind: `drag.ts` in the folder of its name. */
export type LayerDrag<L extends Layer = Layer> = {
  /** What was done, for the history. */
  verb: string;
  /** Takes hold; gives the change for each place of the pointer, or none where nothing can be done there. */
  grab: (grabbed: Grabbed<L>) => (pull: Pull) => Change | null;
};

const modules = import.meta.glob<LayerDrag>('./kinds/*/drag.ts', { eager: true, import: 'default' });

/** What of the chosen layer a drag would move: the layer, or its chosen member while that is there alone. */
export function heldOf({ selection, movement }: Pick<Parts, 'selection' | 'movement'>): Layer | null {
  const { layer, member } = selection;
  if (!isSequence(layer)) return layer;
  return member && memberAt(layer, movement.timeOf(layer.id)) === member.layer.id ? member.layer : null;
}

/** What a drag does to a layer; nothing where its kind has no word about it. */
export function dragOf(layer: Layer | null | undefined): LayerDrag | undefined {
  return layer ? modules[`./kinds/${layer.kind}/drag.ts`] : undefined;
}
