import type { Gradient, Stop } from '../api/types';

/** A gradient as a CSS image, for showing it in the interface; what is emitted comes from the core. */
export function gradientImage(gradient: Gradient, straight = false): string {
  const [x, y] = gradient.centre ?? ['50%', '50%'];
  const stops = gradient.stops.map((s) => (s.at ? `${s.colour} ${s.at}` : s.colour)).join(', ');
  const space = gradient.space === 'oklab' ? ' in oklab' : '';
  const repeating = gradient.repeating && !straight ? 'repeating-' : '';
  if (straight) return `linear-gradient(to right${space}, ${stops})`;
  const how = {
    linear: `${gradient.angle ?? 180}deg`,
    radial: `${gradient.round ? 'circle' : 'ellipse'} ${gradient.extent ?? 'farthest-corner'} at ${x} ${y}`,
    conic: `from ${gradient.angle ?? 0}deg at ${x} ${y}`,
  }[gradient.shape ?? 'linear'];
  return `${repeating}${gradient.shape ?? 'linear'}-gradient(${how}${space}, ${stops})`;
}

const percent = (at: string | null | undefined) =>
  at && /^-?[\d.]+%$/.test(at.trim()) ? Number.parseFloat(at) : null;

/** Where the handles of the stops stand on their bar, in %: their own place, or evenly between their neighbours. */
export function places(stops: readonly Stop[]): number[] {
  const known = stops.map((s) => percent(s.at));
  if (known[0] === null) known[0] = 0;
  const last = known.length - 1;
  if (known[last] === null) known[last] = 100;
  return known.map((at, n) => {
    if (at !== null && at !== undefined) return at;
    const before = known.slice(0, n).findLastIndex((k) => k !== null);
    const after = known.findIndex((k, m) => m > n && k !== null);
    const from = known[before] ?? 0;
    return from + (((known[after] ?? 100) - from) * (n - before)) / (after - before);
  });
}

const said = (at: number) => `${Math.round(at * 10) / 10}%`;

/** All stops with their places written out, in %. */
const placed = (stops: readonly Stop[]): Stop[] => {
  const at = places(stops);
  return stops.map((s, n) => ({ ...s, at: said(at[n] ?? 0) }));
};

/** A stop put in at a place, of the colour that stands before it. */
export function withStop(stops: readonly Stop[], at: number): { stops: Stop[]; chosen: number } {
  const all = places(stops);
  const after = all.findIndex((p) => p > at);
  const n = after < 0 ? stops.length : after;
  const near = stops[Math.max(0, n - 1)] ?? stops[0];
  const next = [...stops];
  next.splice(n, 0, { colour: near?.colour ?? '#808080', at: said(at) });
  return { stops: next, chosen: n };
}

/** A stop moved, held between its neighbours so that none jumps over another. */
export function movedStop(stops: readonly Stop[], n: number, at: number): Stop[] {
  const all = places(stops);
  const held = Math.min(all[n + 1] ?? 100, Math.max(all[n - 1] ?? 0, at));
  return stops.map((s, m) => (m === n ? { ...s, at: said(held) } : s));
}

export const evenly = (stops: readonly Stop[]): Stop[] => stops.map(({ colour }) => ({ colour, at: null }));

export const reversed = (stops: readonly Stop[]): Stop[] =>
  placed(stops)
    .toReversed()
    .map((s) => ({ ...s, at: said(100 - (percent(s.at) ?? 0)) }));

/** Forwards in the first half and back in the second. */
export function mirrored(stops: readonly Stop[]): Stop[] {
  const half = placed(stops).map((s) => ({ ...s, at: said((percent(s.at) ?? 0) / 2) }));
  const back = half.toReversed().map((s) => ({ ...s, at: said(100 - (percent(s.at) ?? 0)) }));
  return [...half, ...back.slice(1)];
}

/** Every two neighbours meet in a hard edge, in the middle between them. */
export function hard(stops: readonly Stop[]): Stop[] {
  const colours = stops.filter((s, n) => n === 0 || s.colour !== stops[n - 1]?.colour);
  const step = 100 / colours.length;
  return colours.flatMap((s, n) => [
    { colour: s.colour, at: said(n * step) },
    { colour: s.colour, at: said((n + 1) * step) },
  ]);
}
