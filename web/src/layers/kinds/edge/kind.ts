import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

export default {
  kind: 'edge',
  aside: (layer) => (layer.around ? 'all round' : (layer.edges ?? ['bottom']).join(', ')),
  ink: (layer) => layer.colour ?? '#000000',
  Settings,
} satisfies Kind<'edge'>;
