import type { Picture } from '../api/types';

export type Filter = { word: string; colour: string; shape: string; mood: string };

export const NO_FILTER: Filter = { word: '', colour: '', shape: '', mood: '' };

export const COLOURS = [
  'green',
  'teal',
  'blue',
  'purple',
  'pink',
  'red',
  'orange',
  'brown',
  'yellow',
  'white',
  'grey',
  'black',
] as const;
export const SHAPES = ['landscape', 'portrait', 'square'] as const;
export const MOODS = ['calm', 'mixed', 'busy'] as const;

/** The pictures that fit all that is asked for. Words are looked for in names, places of use and credit lines. */
export function filtered(pictures: Picture[], { word, colour, shape, mood }: Filter): Picture[] {
  const words = word.toLowerCase().split(/\s+/).filter(Boolean);
  return pictures.filter((p) => {
    const text = [p.name, p.credit, p.type, ...p.uses.map((u) => u.words)].join(' ').toLowerCase();
    return (
      words.every((w) => text.includes(w)) &&
      (!colour || p.colours.some((c) => c.name === colour && c.share > 0.08)) &&
      (!shape || p.orientation === shape) &&
      (!mood || p.mood === mood)
    );
  });
}
