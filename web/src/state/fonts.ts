const FONTS = /\.(woff2?|ttf|otf|ttc|otc)$/i;

/** Whether a file is a font, by its name. */
export const isFont = (name: string) => FONTS.test(name);

/** The kinds of letters that a font can have; by it goes what stands in for it until it has come. */
export const KINDS = [
  { kind: 'sans-serif', name: 'without serifs' },
  { kind: 'serif', name: 'with serifs' },
  { kind: 'handwriting', name: 'like handwriting' },
  { kind: 'display', name: 'for display' },
] as const;

const loaded = new Map<string, FontFace>();

type File = { hash: string; italic?: boolean; least_weight?: number; most_weight?: number };

/** The name under which the interface itself sets words in an own font: of one file, whatever its family is called. */
export const faceOf = (hash: string) => `own ${hash.slice(0, 16)}`;

/** Have a font file at hand, so that the interface can show its letters. */
export function have(file: File): void {
  if (loaded.has(file.hash)) return;
  const weight = `${file.least_weight ?? 400} ${file.most_weight ?? 400}`;
  const face = new FontFace(faceOf(file.hash), `url(/fonts/${file.hash}.woff2) format("woff2")`, { weight });
  loaded.set(file.hash, face);
  document.fonts.add(face);
}

/** The weights that can be chosen of what a family has. */
export function weightsOf(ranges: readonly (readonly number[])[]): number[] {
  const found = new Set<number>();
  for (const [least = 400, most = least] of ranges) {
    for (let weight = 100; weight <= 900; weight += 100)
      if (weight >= least && weight <= most) found.add(weight);
    if (least === most || found.size === 0) found.add(least);
    if (most > 900) found.add(most);
  }
  return [...found].toSorted((a, b) => a - b);
}

/** The weight that is shown where one is wanted (CSS Fonts 4, section 5.2). */
export function weightShown(wanted: number, ranges: readonly (readonly number[])[]): number {
  const least = ranges.map(([first = 400]) => first);
  const most = ranges.map(([first = 400, last = first]) => last);
  if (ranges.some((_, n) => (least[n] ?? 0) <= wanted && wanted <= (most[n] ?? 0))) return wanted;
  const above = least.filter((weight) => weight > wanted).toSorted((a, b) => a - b);
  const below = most.filter((weight) => weight < wanted).toSorted((a, b) => b - a);
  if (wanted >= 400 && wanted <= 500)
    return [...above.filter((weight) => weight <= 500), ...below, ...above][0] ?? wanted;
  return (wanted < 400 ? [...below, ...above] : [...above, ...below])[0] ?? wanted;
}
