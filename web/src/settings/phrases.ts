import type { Block } from '../api/types';

/** What a stretch of a wording can be beside its words. */
export type Marks = {
  strong?: boolean;
  emphasis?: boolean;
  link?: string | null;
  underlined?: boolean;
  colour?: string | null;
};
export type Stretch = Marks & { start: number; end: number };
/** A word or what stands between words: where it begins and ends, in letters (Unicode code points). */
export type Token = { start: number; end: number; text: string; word: boolean };

/** White space as the core keeps it. */
export function normal(text: string): string {
  const lines = text
    .replaceAll('\r\n', '\n')
    .split('\n')
    .map((line) => line.replaceAll(/[ \t\r\f\v]+/g, ' ').replaceAll(/^ +| +$/g, ''));
  return lines
    .join('\n')
    .replaceAll(/^\n+|\n+$/g, '')
    .normalize('NFC');
}

/** Where each letter of a text stands in what became of it; −1: it is gone. Words that both have stay where they can. */
function kept(before: string, after: string): number[] {
  const [old, now] = [tokens(before), tokens(after)];
  // the longest common subsequence of both, counted from behind
  const longest = Array.from({ length: old.length + 1 }, () => new Uint16Array(now.length + 1));
  const at = (i: number, k: number) => longest[i]?.[k] ?? 0;
  for (let i = old.length - 1; i >= 0; i -= 1)
    for (let k = now.length - 1; k >= 0; k -= 1)
      longest[i]![k] =
        old[i]?.text === now[k]?.text ? at(i + 1, k + 1) + 1 : Math.max(at(i + 1, k), at(i, k + 1));
  const found = Array.from({ length: old.at(-1)?.end ?? 0 }, () => -1);
  for (let i = 0, k = 0; i < old.length && k < now.length;) {
    const [one, other] = [old[i]!, now[k]!];
    if (one.text === other.text) {
      for (let n = 0; n < one.end - one.start; n += 1) found[one.start + n] = other.start + n;
      i += 1;
      k += 1;
    } else if (at(i + 1, k) >= at(i, k + 1)) i += 1;
    else k += 1;
  }
  return found;
}

/** Where stretches of a text stand in what became of it; null: their words are gone, with others around them. */
function places(before: string, after: string): (stretch: Stretch) => Stretch | null {
  const letters = kept(before, after);
  const length = [...after].length;
  const opening = (at: number): number => {
    const own = letters[at] ?? -1;
    if (own >= 0) return own;
    const last = at === 0 ? -1 : (letters[at - 1] ?? -1);
    // other words stand where it began
    if (at === 0 || last >= 0) return last + 1;
    return letters.slice(at).find((n) => n >= 0) ?? length;
  };
  const closing = (at: number): number => {
    const own = letters[at - 1] ?? -1;
    if (own >= 0) return own + 1;
    const next = at === letters.length ? length : (letters[at] ?? -1);
    if (next >= 0) return next;
    return (letters.slice(0, at).findLast((n) => n >= 0) ?? -1) + 1;
  };
  return (stretch) => {
    const moved = { ...stretch, start: opening(stretch.start), end: closing(stretch.end) };
    return moved.start < moved.end ? moved : null;
  };
}

/** What changes of a block whose words do: its phrases, and the ends of its lines by screen, stay on their words. */
export function reworded(block: Block, text: string): Record<string, unknown> {
  const found: Record<string, unknown> = { wording: text };
  const [before, after] = [block.wording ?? '', normal(text)];
  if (block.phrases?.length) {
    const to = places(before, after);
    found.phrases = block.phrases.map((phrase) => to(phrase)).filter((phrase) => phrase !== null);
  }
  if (Object.values(block.screens ?? {}).some((own) => own.breaks)) {
    const letters = kept(before, after);
    found.screens = Object.fromEntries(
      Object.entries(block.screens ?? {}).map(([screen, own]) => [
        screen,
        { ...own, breaks: own.breaks?.map((at) => letters[at] ?? -1).filter((at) => at >= 0) ?? null },
      ]),
    );
  }
  return found;
}

const KEYS = ['strong', 'emphasis', 'link', 'underlined', 'colour'] as const;
const plain = (marks: Marks) => !marks.strong && !marks.emphasis && !marks.link && !marks.colour;

/** The marks of a phrase alone. */
function marksOf(phrase: Stretch): Marks {
  return Object.fromEntries(KEYS.map((key) => [key, phrase[key]])) as Marks;
}

/** The stretches of a wording, one after the other, each with its marks. */
function stretches(phrases: readonly Stretch[], length: number, cuts: number[]): Stretch[] {
  const edges = [0, length, ...cuts, ...phrases.flatMap((phrase) => [phrase.start, phrase.end])];
  const sorted = [...new Set(edges)].toSorted((a, b) => a - b);
  return sorted.slice(0, -1).map((start, n) => {
    const own = phrases.find((phrase) => phrase.start <= start && start < phrase.end);
    return { ...own, start, end: sorted[n + 1] ?? length };
  });
}

/** The phrases of a wording of so many letters when something of a stretch is set; stretches that are alike are one. */
export function marked(
  phrases: readonly Stretch[],
  length: number,
  [start, end]: readonly [number, number],
  change: Marks,
): Stretch[] {
  const found: Stretch[] = [];
  for (const part of stretches(phrases, length, [start, end])) {
    const inside = start <= part.start && part.end <= end;
    const now = inside ? { ...part, ...change } : part;
    const last = found.at(-1);
    if (last && last.end === now.start && same(marksOf(last), marksOf(now))) last.end = now.end;
    else found.push({ ...now });
  }
  return found.filter((phrase) => !plain(phrase));
}

function same(one: Marks, other: Marks): boolean {
  return KEYS.every((key) => (one[key] || null) === (other[key] || null) || (plain(one) && plain(other)));
}

/** What holds for all of a stretch. */
export function marksIn(phrases: readonly Stretch[], [start, end]: readonly [number, number]): Marks {
  const parts = stretches(phrases, Math.max(end, ...phrases.map((p) => p.end)), [start, end]).filter(
    (part) => start <= part.start && part.end <= end,
  );
  const [first, ...others] = parts;
  if (!first) return {};
  const all = KEYS.filter((key) => others.every((part) => (part[key] || null) === (first[key] || null)));
  return Object.fromEntries(all.map((key) => [key, first[key]])) as Marks;
}

/** A wording cut into words and what stands between them. */
export function tokens(wording: string): Token[] {
  const found: Token[] = [];
  for (const text of wording.match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*|\s+|[^\s\p{L}\p{N}]+/gu) ?? []) {
    const start = found.at(-1)?.end ?? 0;
    found.push({ start, end: start + [...text].length, text, word: /[\p{L}\p{N}]/u.test(text) });
  }
  return found;
}

/** Where lines end: on a screen, or everywhere. */
export function ends(block: Block, screen: string | null): number[] {
  const own = screen ? block.screens?.[screen]?.breaks : undefined;
  if (own) return own;
  return [...(block.wording ?? '')].flatMap((letter, at) => (letter === '\n' ? [at] : []));
}

/** What is set so that a line ends at a place, or goes on there: on a screen, or everywhere. */
export function ended(block: Block, screen: string | null, at: number): Record<string, unknown> {
  const now = ends(block, screen);
  const next = now.includes(at) ? now.filter((n) => n !== at) : [...now, at].toSorted((a, b) => a - b);
  if (screen) return { breaks: next };
  const letters = [...(block.wording ?? '')];
  letters[at] = next.includes(at) ? '\n' : ' ';
  return { wording: letters.join('') };
}
