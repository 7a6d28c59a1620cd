import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

export default {
  kind: 'shape',
  aside: (layer) => layer.side ?? 'bottom',
  ink: (layer) => layer.colour ?? '#ffffff',
  Settings,
} satisfies Kind<'shape'>;
