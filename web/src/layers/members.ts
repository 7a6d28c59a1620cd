import { fillingOf, thumbAt } from '../parts/thumb';
import type { Asset, Gradient, ImageLayer, Layer, Member, SequenceLayer, VideoLayer } from '../api/types';
import { gradientImage } from './gradient';

/** How a member looks in small, as a CSS background. */
export function lookOf(
  { layer }: Member,
  doc: { asset: (id: string) => Pick<Asset, 'hash' | 'alpha'> | undefined },
): string {
  if ('gradient' in layer) return gradientImage(layer.gradient);
  const asset = doc.asset(layer.asset);
  return asset ? fillingOf(asset) : '';
}

/** The members of a layer that is made of several in turn; none of any other. */
export function membersOf(layer: Layer | null | undefined): readonly Member[] {
  return layer && 'members' in layer ? layer.members : [];
}

export const isSequence = (layer: Layer | null | undefined): layer is SequenceLayer =>
  layer !== null && layer !== undefined && 'members' in layer;

/** Whether a layer is a film. */
export const isFilm = (layer: Layer | null | undefined): layer is VideoLayer =>
  layer !== null && layer !== undefined && 'end' in layer;

/** Whether a layer moves by itself. */
export const moves = (layer: Layer | null | undefined): boolean =>
  isFilm(layer) || membersOf(layer).length > 1;

/** How many pictures a film's part has, and how long it lasts, s; as the core counts them. */
export function footageOf(film: VideoLayer): { count: number; rate: number; period: number } {
  const rate = film.rate ?? 25;
  const count = Math.max(1, Math.round((film.end - (film.start ?? 0)) * rate));
  return { count, rate, period: count / rate };
}

/** What puts a spot of a picture in sight: a place that stood instead of it goes, where the layer can have one. */
export const spotted = (layer: Layer, focal: [number, number]): Record<string, unknown> =>
  'position' in layer ? { focal, position: null } : { focal };

/** A small picture of what a layer shows: of a film, of the moment that stands for it. */
export function thumbOf(asset: Pick<Asset, 'hash'>, layer: Layer, large = false): string {
  const at = isFilm(layer) ? (layer.still ?? 0) : 'at' in layer ? (layer.at ?? 0) : 0;
  const asked = [large ? 'large' : '', at ? `at=${at}` : ''].filter(Boolean).join('&');
  return thumbAt(asset.hash, asked);
}

/** The pictures that a layer is made of, each placed by itself. */
export function picturesOf(layer: Layer | null | undefined): ImageLayer[] {
  if (!layer) return [];
  if ('asset' in layer) return [layer as ImageLayer];
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

/** Which member is there alone at a time; none on the way of a change. */
export function memberAt(layer: SequenceLayer, time: number): string | null {
  const { turns, change, period } = turnsOf(layer);
  if (turns.length < 2) return turns[0]?.id ?? null;
  const now = ((time % period) + period) % period;
  const turn = turns.find((t) => now >= t.start - 1e-6 && now < t.start + t.stay + (change ? 1e-6 : 0));
  return turn?.id ?? null;
}

/** A time in s, as exactly as it can be set. */
export const second = (time: number): string => `${Math.round(time * 10) / 10} s`;
