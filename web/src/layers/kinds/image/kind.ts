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
  name: 'picture',
  title: 'A picture',
  order: 1,
  aside: (layer) => (layer.repeat?.some((r) => r !== 'no-repeat') ? 'tiles' : SIZES[layer.size ?? 'cover']),
  ink: () => '#8a8378',
  offers: ({ doc }) =>
    (doc.site?.assets ?? []).map((asset) => ({
      name: `The picture ${asset.name}`,
      style: `background: url(/thumbs/${asset.hash.slice(0, 10)}) center / cover`,
      layer: { kind: 'image', asset },
    })),
  Settings: ImageSettings,
} satisfies Kind<'image'>;
