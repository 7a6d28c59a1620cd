import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

export default {
  kind: 'colour',
  name: 'colour',
  order: 0,
  aside: (layer) => `${Math.round((layer.opacity ?? 1) * 100)} %`,
  ink: (layer) => layer.colour,
  offers: (bench) =>
    (bench.site?.palette ?? ['#000000', '#ffffff']).map((colour) => ({
      name: `Colour ${colour}`,
      style: `background: ${colour}`,
      layer: { kind: 'colour', name: 'Overlay', colour, opacity: 0.4 },
    })),
  Settings,
} satisfies Kind<'colour'>;
