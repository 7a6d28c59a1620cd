import { scaleLog } from 'd3-scale';
import type { Card } from '../api/types';

export type Point = { id: string; x: number; y: number; shown: string; meets: boolean; situation: string };

/** The height of a ratio (1 to 21, WCAG 2.2) in a strip, by its logarithm; larger ratios stand higher. */
export function heightOf(ratio: number, height: number, margin: number): number {
  return scaleLog([1, 21], [height - margin, margin]).clamp(true)(ratio);
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
