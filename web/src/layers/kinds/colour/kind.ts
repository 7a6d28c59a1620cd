import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

export default {
  kind: 'colour',
  name: 'colour',
  title: 'A colour',
  order: 0,
  aside: (layer) => `${Math.round((layer.opacity ?? 1) * 100)} %`,
  ink: (layer) => layer.colour,
  offers: ({ doc }) =>
    (doc.palette.length > 0 ? doc.palette : ['#000000', '#ffffff']).map((colour) => ({
      name: `Colour ${colour}`,
      style: `background: ${colour}`,
      layer: { kind: 'colour', name: 'Overlay', colour, opacity: 0.4 },
    })),
  Settings,
} satisfies Kind<'colour'>;
