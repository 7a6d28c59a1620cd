/** What a file weighs, in words: kB of 1000 bytes and MB of 1000 kB everywhere, as budgets are given. */
export function weight(bytes: number): string {
  return bytes < 1_000_000
    ? `${Math.max(1, Math.round(bytes / 1000))} kB`
    : `${(bytes / 1_000_000).toFixed(1)} MB`;
}
