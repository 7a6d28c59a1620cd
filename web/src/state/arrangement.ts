/** How the bench is arranged in the room it has. */
export type Arrangement = {
  /** How many screens stand beside each other; the others are tabs. */
  screens: number;
  /** Whether build-up and settings lie in a drawer, one at a time, instead of beside each other. */
  drawer: boolean;
  /** Whether the room is less than the bench is made for. */
  cramped: boolean;
};

export const LEAST = { width: 640, height: 400 };
const MEDIUM = { width: 820, height: 560 };
const WIDE = 1180;

/** The arrangement for a window of this size, in px. */
export function arrangementOf(width: number, height: number): Arrangement {
  const drawer = width < MEDIUM.width || height < MEDIUM.height;
  const screens = drawer ? 1 : width < WIDE ? 2 : 3;
  return { screens, drawer, cramped: width < LEAST.width };
}
