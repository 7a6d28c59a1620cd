import type { Page } from '../api/types';

/** An id that nothing on the page has yet. */
export function freeId(stem: string, page: Page | null): string {
  const taken = new Set<string>();
  for (const band of page?.bands ?? []) {
    taken.add(band.id);
    for (const layer of band.backdrop?.layers ?? []) taken.add(layer.id);
    for (const column of band.columns ?? []) {
      taken.add(column.id);
      for (const block of column.blocks ?? []) taken.add(block.id);
    }
  }
  let id = stem;
  for (let n = 2; taken.has(id) || id === 'base' || id === 'words'; n += 1) id = `${stem}-${n}`;
  return id;
}
