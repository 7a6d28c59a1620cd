import ImageSettings from '../../../settings/ImageSettings.svelte';
import type { Kind } from '../../kind';

const SIZES = {
  cover: 'fills',
  contain: 'whole',
  natural: 'natural',
  stretch: 'stretched',
  own: 'own size',
};

export default {
  kind: 'image',
  aside: (layer) => (layer.repeat?.some((r) => r !== 'no-repeat') ? 'tiles' : SIZES[layer.size ?? 'cover']),
  ink: () => '#8a8378',
  Settings: ImageSettings,
} satisfies Kind<'image'>;
