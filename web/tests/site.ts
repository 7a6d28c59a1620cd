import type { Layer, Site, State } from '../src/api/types';

const layer = (id: string): Layer =>
  ({ kind: 'colour', id, name: id, colour: '#000000', opacity: 0.2 }) as Layer;

/** A small site: one page, two bands with layers and words. */
export function smallSite(): Site {
  const band = (id: string, layers: string[]) => ({
    id,
    name: id,
    role: id === 'banner' ? 'banner' : 'band',
    backdrop: { base: '#ffffff', layers: layers.map(layer) },
    content: { stand: 'start' },
    columns: [
      {
        id: `${id}-column`,
        backdrop: { layers: [] },
        blocks: [{ id: `${id}-words`, kind: 'text', wording: id }],
      },
    ],
  });
  return {
    screens: [{ id: 'phone', name: 'Phone', width: 390, height: 844 }],
    palette: ['#112233'],
    assets: [{ id: 'fern', name: 'Fern' }],
    slots: [],
    pages: [
      {
        id: 'home',
        title: 'Home',
        backdrop: { layers: [] },
        joins: [],
        bands: [band('banner', ['dawn', 'dusk']), band('week', ['moss'])],
      },
    ],
  } as unknown as Site;
}

export const stateOf = (revision: number, document: Site): State => ({
  revision,
  document,
  undo: revision > 1 ? 'something' : null,
  redo: null,
  kept: '2026-01-01T00:00:00Z',
});
