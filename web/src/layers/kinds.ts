import type { Layer } from '../api/types';
import type { Kind } from './kind';

const modules = import.meta.glob<Kind>('./kinds/*/kind.ts', { eager: true, import: 'default' });

const byName = new Map(Object.values(modules).map((k) => [k.kind, k]));

export function kindOf(layer: Layer): Kind {
  const kind = byName.get(layer.kind);
  if (!kind) throw new Error(`There is no layer of the kind ${layer.kind}.`);
  return kind;
}
