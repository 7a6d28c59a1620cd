import type { Page } from '../api/types';
import { areasOf } from './tree';

/** An id that nothing on the page has yet. */
export function freeId(stem: string, page: Page | null): string {
  const taken = new Set<string>(['base', 'words']);
  for (const area of page ? areasOf(page) : []) {
    taken.add(area.id);
    for (const layer of area.backdrop.layers ?? []) taken.add(layer.id);
    for (const block of area.blocks) taken.add(block.id);
  }
  let id = stem;
  for (let n = 2; taken.has(id); n += 1) id = `${stem}-${n}`;
  return id;
}
