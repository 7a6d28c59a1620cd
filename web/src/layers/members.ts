import type { Gradient, ImageLayer, Layer, Member, SequenceLayer } from '../api/types';

/** The members of a layer that is made of several in turn; none of any other. */
export function membersOf(layer: Layer | null | undefined): readonly Member[] {
  return layer && 'members' in layer ? layer.members : [];
}

export const isSequence = (layer: Layer | null | undefined): layer is SequenceLayer =>
  layer !== null && layer !== undefined && 'members' in layer;

/** The pictures that a layer is made of, each placed by itself. */
export function picturesOf(layer: Layer | null | undefined): ImageLayer[] {
  if (!layer) return [];
  if ('asset' in layer) return [layer];
  return membersOf(layer)
    .map((m) => m.layer)
    .filter((one): one is ImageLayer => 'asset' in one);
}

/** Whether a layer is made of gradients alone. */
export const gradientsOf = (layer: Layer): Gradient[] =>
  membersOf(layer).flatMap(({ layer: one }) => ('gradient' in one ? [one.gradient] : []));

export type Turn = { id: string; name: string; start: number; stay: number };

/** When each member stays, and after how long everything begins anew, s. */
export function turnsOf(layer: SequenceLayer): { turns: Turn[]; change: number; period: number } {
  const change = layer.change ?? 1.5;
  let start = 0;
  const turns = layer.members.map((member) => {
    const stay = member.stay ?? layer.stay ?? 6;
    const turn = { id: member.layer.id, name: member.layer.name, start, stay };
    start += stay + change;
    return turn;
  });
  return { turns, change, period: layer.members.length > 1 ? start : start - change };
}

export const second = (time: number): string => `${time.toFixed(time < 10 ? 1 : 0).replace(/\.0$/, '')} s`;
