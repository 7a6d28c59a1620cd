/** How large the cards of the build-up are, px. */
export type Measures = { card: number; step: number; picture: number; line: number };

const HEAD = 62;
/** Strength, name and the space between, under a card's picture. */
const FOOT = 46;
const LINE = { least: 56, most: 180 };
const CARD = { least: 96, most: 320 };
const GAP = 22;
/** What stands beside the cards: the strip's own edges, and what is required at the end of the line. */
const MARGINS = 104;
const PROPORTION = 0.62;

/** Cards as large as a strip of this size lets so many be; below the least they scroll. */
export function measures(cards: number, width: number, height: number): Measures {
  const free = Math.max(0, height - HEAD - FOOT);
  const line = Math.min(LINE.most, Math.max(LINE.least, free * 0.34));
  const high = Math.max(56, free - line);
  const wide = (width - MARGINS) / Math.max(1, cards) - GAP;
  const card = Math.round(Math.min(CARD.most, Math.max(CARD.least, Math.min(wide, high / PROPORTION))));
  const picture = Math.round(Math.min(high, card * PROPORTION));
  return { card, step: card + GAP, picture, line: Math.max(LINE.least, Math.min(LINE.most, free - picture)) };
}
