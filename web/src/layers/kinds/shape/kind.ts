import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

export default {
  kind: 'shape',
  name: 'silhouette',
  title: 'A silhouette',
  order: 4,
  aside: (layer) => layer.side ?? 'bottom',
  ink: (layer) => layer.colour ?? '#ffffff',
  offers: ({ doc, selection }) =>
    (doc.library?.silhouettes ?? []).map((figure) => ({
      name: `Silhouette: ${figure.name}`,
      style: `background: var(--color-base-content); mask: ${figure.image} bottom / 100% 70% no-repeat`,
      layer: {
        kind: 'shape',
        name: figure.name,
        silhouette: figure.id,
        colour: selection.page?.backdrop?.base ?? '#ffffff',
        depth: '22%',
      },
    })),
  Settings,
} satisfies Kind<'shape'>;
