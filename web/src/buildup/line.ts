import type { Card } from '../api/types';

export type Point = { id: string; x: number; y: number; shown: string; meets: boolean; situation: string };

const LEAST = Math.log(1);
const MOST = Math.log(21);

/** The height of a ratio (1 to 21) in a strip, by its logarithm; larger ratios stand higher. */
export function heightOf(ratio: number, height: number, margin: number): number {
  const share = (Math.log(Math.min(21, Math.max(1, ratio))) - LEAST) / (MOST - LEAST);
  return height - margin - share * (height - 2 * margin);
}

/** The points of the contrast line under the middles of their cards. */
export function points(cards: Card[], step: number, card: number, height: number, margin: number): Point[] {
  return cards.flatMap((c, n) =>
    c.ratio === null || c.shown === null
      ? []
      : [
          {
            id: c.id,
            x: n * step + card / 2,
            y: heightOf(c.ratio, height, margin),
            shown: c.shown,
            meets: c.meets ?? true,
            situation: c.situation ?? '',
          },
        ],
  );
}
