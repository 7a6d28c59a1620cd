export type View = 'bench' | 'take';

export const VIEWS: readonly { id: View; name: string }[] = [
  { id: 'bench', name: 'Bench' },
  { id: 'take', name: 'Take away' },
];
