import { gradientImage } from '../../gradient';
import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

const SHAPES = { linear: 'straight', radial: 'round', conic: 'turning' };

export default {
  kind: 'gradient',
  name: 'gradient',
  title: 'A gradient',
  order: 2,
  aside: (layer) => SHAPES[layer.gradient.shape ?? 'linear'],
  ink: (layer) => gradientImage(layer.gradient, true),
  offers: ({ doc }) =>
    [...(doc.site?.gradients ?? []), ...(doc.library?.gradients ?? [])].map((saved) => ({
      name: `Gradient: ${saved.name}`,
      style: `background: ${gradientImage(saved.gradient)}`,
      layer: { kind: 'gradient', name: saved.name, gradient: saved.gradient },
    })),
  Settings,
} satisfies Kind<'gradient'>;
