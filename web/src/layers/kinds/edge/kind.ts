import type { Kind } from '../../kind';
import Settings from './Settings.svelte';

const side = (edge: string) =>
  ({ bottom: 'to top', top: 'to bottom', left: 'to right', right: 'to left' })[edge];
const shade = (edges: string[]) =>
  edges.map((e) => `linear-gradient(${side(e)}, #1d1d1dcc, transparent 60%)`).join(', ');

export default {
  kind: 'edge',
  name: 'edge shade',
  title: 'A shade along an edge',
  order: 5,
  aside: (layer) => (layer.around ? 'all round' : (layer.edges ?? ['bottom']).join(', ')),
  ink: (layer) => layer.colour ?? '#000000',
  offers: ({ doc }) => {
    const colour = doc.palette[1] ?? '#000000';
    const each = (name: string, style: string, more: Record<string, unknown>) => ({
      name: `Edge shade: ${name}`,
      style: `background: ${style}`,
      layer: { kind: 'edge', name: `Shade, ${name}`, colour, opacity: 0.7, ...more },
    });
    return [
      each('foot', shade(['bottom']), { edges: ['bottom'], depth: '60%' }),
      each('top', shade(['top']), { edges: ['top'], depth: '50%' }),
      each('left', shade(['left']), { edges: ['left'], depth: '60%' }),
      each('all round', 'radial-gradient(transparent 40%, #1d1d1dcc)', { around: true, depth: '60%' }),
      each('stripe at the foot', 'linear-gradient(to top, #1d1d1d 22%, transparent 22%)', {
        edges: ['bottom'],
        depth: '12px',
        softness: 0,
        opacity: 1,
      }),
    ];
  },
  Settings,
} satisfies Kind<'edge'>;
