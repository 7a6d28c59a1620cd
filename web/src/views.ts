export type View = 'bench' | 'framing' | 'shelf' | 'schemes' | 'situations' | 'take';

export const VIEWS: readonly { id: View; name: string }[] = [
  { id: 'bench', name: 'Bench' },
  { id: 'situations', name: 'Situations' },
  { id: 'framing', name: 'Framing' },
  { id: 'shelf', name: 'Shelf' },
  { id: 'schemes', name: 'Schemes' },
  { id: 'take', name: 'Take away' },
];
