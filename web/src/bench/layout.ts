import type { Screen } from '../api/types';

type Room = { screens: readonly Screen[]; width: number; height: number; readings: number };

/** Where the screens stand: one scale for all of them. */
export type Places = {
  scale: number;
  /** How high the frames are, px. */
  height: number;
  gap: number;
  /** Whether the readings stand beside the only screen instead of beneath it. */
  beside: boolean;
  /** How wide the column of a screen is, px. */
  column: (screen: Screen) => number;
};

const GAP = 24;
/** A column is no narrower than its readings need, px. */
const LEAST = 264;
const SMALLEST = 0.1;

/** Room for readings beside a screen, px. */
const BESIDE = 230;

/** Lay screens out in a room, their tops in line, as large as they fit beside each other. All lengths in px. */
export function layout({ screens, width, height, readings }: Room): Places {
  const free = width - GAP * (screens.length - 1);
  const least = Math.min(LEAST, free / Math.max(1, screens.length));
  const total = screens.reduce((sum, s) => sum + s.width, 0);
  const even = free / Math.max(1, total);
  const narrow = screens.filter((s) => s.width * even < least);
  const rest = total - narrow.reduce((sum, s) => sum + s.width, 0);
  const wide = rest > 0 ? (free - least * narrow.length) / rest : even;
  const scale = Math.min(1, Math.max(SMALLEST, wide));
  const lowest = Math.min(...screens.map((s) => s.height)) * scale;
  const only = screens.length === 1 ? screens[0] : undefined;
  const under = Math.max(90, height - readings);
  const beside =
    only !== undefined && width - only.width * Math.min(scale, 0.6) >= BESIDE + 16 && under < lowest;
  if (beside && only) {
    // beside its readings a screen may be as high as the room, and is no wider than leaves room for them
    const fitting = Math.min(
      1,
      (width - BESIDE - 16) / only.width,
      Math.max(scale * 0.5, height / only.height),
    );
    const own = Math.max(SMALLEST, fitting);
    return { scale: own, height: Math.min(height, only.height * own), gap: GAP, beside, column: () => width };
  }
  return {
    scale,
    height: Math.min(under, lowest),
    gap: GAP,
    beside: false,
    column: (screen) => Math.max(least, screen.width * scale),
  };
}
