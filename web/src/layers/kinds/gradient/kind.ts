import { gradientImage } from '../../gradient';
import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

const SHAPES = { linear: 'straight', radial: 'round', conic: 'turning' };

export default {
  kind: 'gradient',
  aside: (layer) => SHAPES[layer.gradient.shape ?? 'linear'],
  ink: (layer) => gradientImage(layer.gradient, true),
  Settings,
} satisfies Kind<'gradient'>;
