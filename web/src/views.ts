export type View = 'bench' | 'framing' | 'shelf' | 'take';

export const VIEWS: readonly { id: View; name: string }[] = [
  { id: 'bench', name: 'Bench' },
  { id: 'framing', name: 'Framing' },
  { id: 'shelf', name: 'Shelf' },
  { id: 'take', name: 'Take away' },
];
