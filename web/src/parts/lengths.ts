/** Nudge the first number of a length, or the number in the middle of a clamp(), by whole steps. */
export function nudgeLength(text: string, by: number): string {
  const numbers = [...text.matchAll(/-?\d*\.?\d+/g)];
  const target = numbers.length === 3 ? numbers[1] : numbers[0];
  if (!target) return text;
  const value = Number(target[0]);
  const step = /^(rem|em|vw)/.test(text.slice(target.index + target[0].length)) ? 0.1 : 1;
  const next = Math.max(0, value + by * step);
  const said = String(Math.round(next * 100) / 100);
  return text.slice(0, target.index) + said + text.slice(target.index + target[0].length);
}

/** The same, also below zero. */
export function nudgeSigned(text: string, by: number): string {
  const match = /^(-?\d*\.?\d+)(.*)$/.exec(text.trim());
  if (!match) return text;
  return String(Math.round((Number(match[1]) + by) * 100) / 100) + match[2];
}
