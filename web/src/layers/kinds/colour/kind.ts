import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

export default {
  kind: 'colour',
  aside: (layer) => `${Math.round((layer.opacity ?? 1) * 100)} %`,
  ink: (layer) => layer.colour,
  Settings,
} satisfies Kind<'colour'>;
