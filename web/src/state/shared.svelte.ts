import * as client from '../api/client';
import type { Edit, PagePart, SharesFound } from '../api/types';
import type { Doc } from './doc.svelte';
import { Latest } from './latest';
import type { Notices } from './notices.svelte';

/** What is the same on which pages, as the core says it of the present state. */
export class Shared {
  found = $state.raw<SharesFound | null>(null);
  private of = -1;
  private readonly asking = new Latest();
  private readonly doc: Doc;
  private readonly notices: Notices;

  constructor(doc: Doc, notices: Notices) {
    this.doc = doc;
    this.notices = notices;
  }

  /** Ask for the present state, unless it is known. To be called where it is looked at, whenever that changes. */
  follow(): void {
    const { revision } = this.doc;
    if (!this.doc.state || revision === this.of) return;
    this.asking.run(async () => {
      try {
        this.found = await client.shares();
        this.of = revision;
      } catch (error) {
        this.notices.tell(error);
      }
    });
  }

  /** The parts of a page that can be shared. */
  partsOf(page: string | undefined): PagePart[] {
    return this.found?.pages.find((p) => p.page === page)?.parts ?? [];
  }

  /** The part of a page that an area belongs to. */
  partOf(page: string | undefined, area: string | undefined): PagePart | undefined {
    return this.partsOf(page).find((part) => area !== undefined && part.areas.includes(area));
  }

  /** How many pages there are, all together and of a kind. */
  count(kind?: string): number {
    const kinds = this.found?.kinds ?? {};
    return kind === undefined ? Object.values(kinds).reduce((sum, n) => sum + n, 0) : (kinds[kind] ?? 0);
  }

  kindOf(page: string | undefined): string {
    return this.found?.pages.find((p) => p.page === page)?.kind ?? '';
  }
}

/** What can be done about a part of a page: its name, and the edit that does it. */
export function doings(
  shared: Shared,
  page: string,
  part: PagePart,
): { id: string; name: string; edit: Edit }[] {
  const of = { page, part: part.part } as { page: string; part: 'header' };
  const kind = shared.kindOf(page);
  const all = shared.count();
  const same = shared.count(kind);
  switch (part.state) {
    case 'none':
      return [];
    case 'shared':
      return [
        { id: 'out', name: 'Own on this page', edit: { kind: 'step-out', ...of } },
        { id: 'alone', name: 'Each page its own again', edit: { kind: 'part-alone', ...of } },
      ];
    case 'out':
      return [{ id: 'in', name: 'As on the others again', edit: { kind: 'step-in', ...of } }];
    case 'own':
      return [
        ...(all > 1
          ? [
              {
                id: 'all',
                name: `As here on all ${all} pages`,
                edit: { kind: 'share-part', ...of, kinds: [] } as Edit,
              },
            ]
          : []),
        ...(same > 1 && same < all
          ? [
              {
                id: 'kind',
                name: `As here on ${same} pages of the kind ${kind}`,
                edit: { kind: 'share-part', ...of, kinds: [kind] } as Edit,
              },
            ]
          : []),
      ];
  }
}
