import type { Layer } from '../api/types';
import type { Kind } from './kind';

const modules = import.meta.glob<Kind>('./kinds/*/kind.ts', { eager: true, import: 'default' });

/** Every kind of layer, in order. */
export const KINDS: readonly Kind[] = Object.values(modules).toSorted((a, b) => a.order - b.order);

const byName = new Map(KINDS.map((k) => [k.kind, k]));

export function kindOf(layer: Layer): Kind {
  const kind = byName.get(layer.kind);
  if (!kind) throw new Error(`There is no layer of the kind ${layer.kind}.`);
  return kind;
}
