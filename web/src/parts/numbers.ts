/** Numbers as people type them: with a comma, with their unit, as a small sum. */

/** What a sum of numbers comes to: + - * / and brackets; null where it is none. */
export function sum(text: string): number | null {
  const parts =
    text
      .replaceAll('×', '*')
      .replaceAll('÷', '/')
      .replaceAll(',', '.')
      .match(/\d*\.?\d+|[-+*/()]|\S/g) ?? [];
  let at = 0;

  function factor(): number {
    const part = parts[at++] ?? '';
    if (part === '-') return -factor();
    if (part === '+') return factor();
    if (part === '(') {
      const inner = terms();
      return parts[at++] === ')' ? inner : NaN;
    }
    return /^\d*\.?\d+$/.test(part) ? Number(part) : NaN;
  }

  function product(): number {
    let value = factor();
    while (parts[at] === '*' || parts[at] === '/')
      value = parts[at++] === '*' ? value * factor() : value / factor();
    return value;
  }

  function terms(): number {
    let value = product();
    while (parts[at] === '+' || parts[at] === '-')
      value = parts[at++] === '+' ? value + product() : value - product();
    return value;
  }

  const value = terms();
  return at === parts.length && Number.isFinite(value) ? value : null;
}

/** A number out of a text that may end in its unit; null where there is none. */
export function numberIn(text: string, unit: string): number | null {
  const bare = text.trim();
  const without =
    unit && bare.toLowerCase().endsWith(unit.toLowerCase()) ? bare.slice(0, -unit.length) : bare;
  return sum(without);
}

/** At most two decimals, without zeros behind them. */
export const short = (value: number): number => Math.round(value * 100) / 100;

/** A number with its unit, as it is shown. */
export const withUnit = (value: number, unit: string): string =>
  `${short(value)}${unit === '°' || !unit ? '' : ' '}${unit}`;

/** A sum before a CSS unit, as one length: `2*18px` is `36px`. Anything else stays as it is. */
export function lengthIn(text: string): string {
  const match = /^([-+*/().,\d\s×÷]+?)\s*(px|rem|em|vw|vh|%)$/.exec(text.trim());
  if (!match || /^-?[\d.]+$/.test(match[1] ?? '')) return text.trim();
  const value = sum(match[1] ?? '');
  return value === null ? text.trim() : `${short(value)}${match[2]}`;
}

/** A range of the core as what a field takes; `times` where it is shown in a smaller unit, as a part in %. */
export const within = ([least, most]: readonly [number, number], times = 1) => ({
  least: short(least * times),
  most: short(most * times),
});
