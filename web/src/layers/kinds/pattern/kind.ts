import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

export default {
  kind: 'pattern',
  aside: (layer) => `${layer.size ?? 24} px`,
  ink: (layer) => layer.colour ?? '#ffffff',
  Settings,
} satisfies Kind<'pattern'>;
