const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** Days are counted from noon, so that no change of clocks takes one for its neighbour. */
const noon = (iso: string) => new Date(`${iso}T12:00:00Z`);

/** The day so many days after another. */
export function later(iso: string, by: number): string {
  const day = noon(iso);
  day.setUTCDate(day.getUTCDate() + by);
  return day.toISOString().slice(0, 10);
}

/** `4 May`. */
export const shortDay = (iso: string) => `${noon(iso).getUTCDate()} ${MONTHS[noon(iso).getUTCMonth()]}`;

/** `Monday, 4 May 2026`. */
export const longDay = (iso: string) =>
  `${WEEKDAYS[noon(iso).getUTCDay()]}, ${shortDay(iso)} ${noon(iso).getUTCFullYear()}`;

/** Saturday or Sunday. */
export const weekend = (iso: string) => [0, 6].includes(noon(iso).getUTCDay());
