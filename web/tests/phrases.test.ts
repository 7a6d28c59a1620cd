import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Block } from '../src/api/types';
import {
  ended,
  ends,
  marked,
  marksIn,
  normal,
  reworded,
  tokens,
  type Stretch,
} from '../src/settings/phrases';

const WORDING = 'Come to the fern fair on Saturday';
const FAIR: Stretch = { start: 12, end: 21, strong: true };
const block = (more: Partial<Block> = {}) => ({ id: 'w', kind: 'text', wording: WORDING, ...more }) as Block;
const words = (text: string, phrase: Stretch) => [...text].slice(phrase.start, phrase.end).join('');

describe('phrases stay on their words while these are typed', () => {
  it.each([
    ['Do come to the fern fair on Saturday', ['fern fair']],
    ['Come to the fern fair', ['fern fair']],
    ['Come to the great fern fair on Saturday', ['fern fair']],
    ['Come to the fern and moss fair on Saturday', ['fern and moss fair']],
    ['Come to the  fern   fair on Saturday ', ['fern fair']],
    ['Do come to the fern fair', ['fern fair']],
    ['Come to the moss fair on Sunday', ['moss fair']],
    ['Come to the summer fête on Saturday', ['summer fête']],
    ['Come to us', []],
    ['', []],
  ])('%s', (text, kept) => {
    const after = reworded(block({ phrases: [FAIR] as Block['phrases'] }), text);
    const phrases = after.phrases as Stretch[];
    expect(phrases.map((p) => words(normal(text), p))).toEqual(kept);
  });

  it('counts letters, not their halves', () => {
    const after = reworded(block({ phrases: [FAIR] as Block['phrases'] }), `🌿 ${WORDING}`);
    expect((after.phrases as Stretch[])[0]).toMatchObject({ start: 14, end: 23 });
  });

  it('keeps the ends of lines at spaces', () => {
    const screens = { phone: { breaks: [11, 21] } } as unknown as Block['screens'];
    const after = reworded(block({ screens }), 'Come, come to the fern fair on Saturday');
    expect(after.screens).toMatchObject({ phone: { breaks: [17, 27] } });
  });
});

describe('marks', () => {
  const range = fc
    .tuple(fc.nat(32), fc.integer({ min: 1, max: 12 }))
    .map(([s, n]) => [s, Math.min(33, s + n)] as const);
  const change = fc.constantFrom(
    { strong: true },
    { emphasis: true },
    { link: '#' },
    { strong: false },
    { link: null },
  );

  it('are set on a stretch and nowhere else, in order and without overlaps', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(range, change), { maxLength: 6 }), (steps) => {
        let phrases: Stretch[] = [];
        const marks = Array.from({ length: 33 }, () => ({}) as Record<string, unknown>);
        for (const [[start, end], what] of steps) {
          if (start >= end) continue;
          phrases = marked(phrases, 33, [start, end], what);
          for (let n = start; n < end; n += 1) Object.assign(marks[n] ?? {}, what);
          expect(marksIn(phrases, [start, end])).toMatchObject(
            Object.fromEntries(Object.entries(what).filter(([, value]) => value)),
          );
        }
        for (const [n, phrase] of phrases.entries())
          expect(phrase.start).toBeGreaterThanOrEqual(phrases[n - 1]?.end ?? 0);
        for (const [at, own] of marks.entries()) {
          const there = phrases.find((p) => p.start <= at && at < p.end);
          for (const key of ['strong', 'emphasis', 'link'] as const)
            expect(there?.[key] ?? false, `${key} at ${at}`).toBe(own[key] || false);
        }
      }),
    );
  });

  it('that nothing is left of are no phrase', () => {
    expect(marked([FAIR], 33, [12, 21], { strong: false })).toEqual([]);
    expect(marked([FAIR], 33, [12, 16], { strong: false })).toMatchObject([
      { start: 16, end: 21, strong: true },
    ]);
  });
});

it('words are cut from what stands between them', () => {
  const found = tokens('Plants’ well-kept beds, at 3–5\n(free)');
  expect(found.filter((t) => t.word).map((t) => t.text)).toEqual([
    'Plants',
    'well-kept',
    'beds',
    'at',
    '3',
    '5',
    'free',
  ]);
  expect(found.map((t) => t.text).join('')).toBe('Plants’ well-kept beds, at 3–5\n(free)');
});

it('lines end where a screen says, and otherwise where they do everywhere', () => {
  const own = block({ wording: 'One two\nthree four' });
  expect(ends(own, 'phone')).toEqual([7]);
  expect(ended(own, 'phone', 3)).toEqual({ breaks: [3, 7] });
  expect(ended(own, null, 7)).toEqual({ wording: 'One two three four' });
  expect(ended(own, null, 13)).toEqual({ wording: 'One two\nthree\nfour' });
});
