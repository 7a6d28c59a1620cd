import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

export default {
  kind: 'pattern',
  name: 'pattern',
  title: 'A pattern',
  order: 3,
  aside: (layer) => `${layer.size ?? 24} px`,
  ink: (layer) => layer.colour ?? '#ffffff',
  offers: ({ doc }) =>
    (doc.library?.tiles ?? []).map((tile) => ({
      name: `Pattern: ${tile.name}`,
      style: `background: var(--color-base-content); mask-image: ${tile.image}`,
      layer: { kind: 'pattern', name: tile.name, tile: tile.id, colour: '#ffffff', opacity: 0.15 },
    })),
  Settings,
} satisfies Kind<'pattern'>;
