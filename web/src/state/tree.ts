import type { Backdrop, Band, Block, Column, Join, Page } from '../api/types';

export type AreaKind = 'page' | 'join' | 'band' | 'column' | 'block';

/** An area of a page with its place in it: `path` is a JSON Pointer from the page on. */
export type Area = {
  id: string;
  kind: AreaKind;
  name: string;
  path: string;
  backdrop: Backdrop;
  band: Band | null;
  column: Column | null;
  join: Join | null;
  blocks: Block[];
};

const blocksIn = (bands: Band[]): Block[] =>
  bands.flatMap((b) => (b.columns ?? []).flatMap((c) => c.blocks ?? []));

/** The bands that a join runs behind. */
export function joined(page: Page, join: Join): Band[] {
  const bands = page.bands ?? [];
  const first = bands.findIndex((b) => b.id === join.first);
  const last = bands.findIndex((b) => b.id === join.last);
  return bands.slice(first, last + 1);
}

/** All areas of a page, in the order in which they are painted. */
export function areasOf(page: Page): Area[] {
  const bands = page.bands ?? [];
  const none = { band: null, column: null, join: null };
  const found: Area[] = [
    {
      ...none,
      id: page.id,
      kind: 'page',
      name: 'Page',
      path: '',
      backdrop: page.backdrop ?? {},
      blocks: blocksIn(bands),
    },
  ];
  for (const [n, join] of (page.joins ?? []).entries())
    found.push({
      ...none,
      id: join.id,
      kind: 'join',
      name: join.name ?? 'Join',
      path: `/joins/${n}`,
      backdrop: join.backdrop ?? {},
      join,
      blocks: blocksIn(joined(page, join)),
    });
  for (const [n, band] of bands.entries()) {
    const path = `/bands/${n}`;
    found.push({
      ...none,
      id: band.id,
      kind: 'band',
      name: band.name,
      path,
      backdrop: band.backdrop ?? {},
      band,
      blocks: blocksIn([band]),
    });
    for (const [k, column] of (band.columns ?? []).entries()) {
      found.push({
        id: column.id,
        kind: 'column',
        name: column.name && column.name !== 'Column' ? column.name : `Column ${k + 1}`,
        path: `${path}/columns/${k}`,
        backdrop: column.backdrop ?? {},
        band,
        column,
        join: null,
        blocks: column.blocks ?? [],
      });
      for (const [m, block] of (column.blocks ?? []).entries())
        if (block.plate)
          found.push({
            id: block.id,
            kind: 'block',
            name: `Plate of ${block.wording?.slice(0, 24) || block.kind}`,
            path: `${path}/columns/${k}/blocks/${m}/plate`,
            backdrop: block.plate.backdrop ?? {},
            band,
            column,
            join: null,
            blocks: [block],
          });
    }
  }
  return found;
}

/** The JSON Pointer of a block, from the page on. */
export function blockPath(page: Page, id: string): string {
  for (const [n, band] of (page.bands ?? []).entries())
    for (const [k, column] of (band.columns ?? []).entries()) {
      const at = (column.blocks ?? []).findIndex((b) => b.id === id);
      if (at >= 0) return `/bands/${n}/columns/${k}/blocks/${at}`;
    }
  return '';
}

/** The areas around something that was clicked, the innermost first, by the ids on its elements. */
export function around(page: Page, ids: string[]): Area[] {
  const all = areasOf(page);
  const plain = (a: Area) =>
    a.kind === 'column' && a.band?.columns?.length === 1 && !a.backdrop.layers?.length;
  const direct = ids.flatMap((id) => all.filter((a) => a.id === id && a.kind !== 'page' && !plain(a)));
  const bands = direct.filter((a) => a.kind === 'band').map((a) => a.id);
  const joins = all.filter((a) => a.join && joined(page, a.join).some((b) => bands.includes(b.id)));
  return [...direct, ...joins, ...all.filter((a) => a.kind === 'page')];
}

/** The first words among some blocks, short enough for a name; none where there are none. */
export function firstWords(blocks: readonly Block[], most = 18): string {
  const words = blocks.map((b) => b.wording?.trim().split('\n')[0] ?? '').find((w) => w !== '') ?? '';
  if (words.length <= most) return words;
  const cut = words.slice(0, most + 1);
  return `${cut.slice(0, Math.max(cut.lastIndexOf(' '), most - 6)).trim()} …`;
}
