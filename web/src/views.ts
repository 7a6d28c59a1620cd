export type View = 'bench' | 'framing' | 'shelf' | 'schemes' | 'take';

export const VIEWS: readonly { id: View; name: string }[] = [
  { id: 'bench', name: 'Bench' },
  { id: 'framing', name: 'Framing' },
  { id: 'shelf', name: 'Shelf' },
  { id: 'schemes', name: 'Schemes' },
  { id: 'take', name: 'Take away' },
];
