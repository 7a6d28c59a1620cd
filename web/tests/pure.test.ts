import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { patched } from '../src/api/patch';
import type { Screen } from '../src/api/types';
import { layout } from '../src/bench/layout';
import { measures } from '../src/buildup/measures';
import { nudgeLength } from '../src/parts/lengths';
import { lengthIn, numberIn, sum, withUnit } from '../src/parts/numbers';
import { isStep, NAMES, read, write, type Address } from '../src/state/address';
import { arrangementOf } from '../src/state/arrangement';
import { weightShown, weightsOf } from '../src/state/fonts';
import { Latest } from '../src/state/latest';
import { GoneError, pathOf } from '../src/state/target';
import { firstWords } from '../src/state/tree';
import { smallSite } from './site';

describe('numbers as people type them', () => {
  it.each([
    ['2*18', 36],
    ['1,5', 1.5],
    ['(3 + 4) × 2', 14],
    ['10 ÷ 4', 2.5],
    ['-3 - -4', 1],
    ['', null],
    ['ten', null],
    ['2*', null],
    ['1/0', null],
    ['3 4', null],
  ])('%s is %s', (text, value) => expect(sum(text)).toBe(value));

  it.each([
    ['20 %', '%', 20],
    ['20%', '%', 20],
    ['2*18px', 'px', 36],
    ['20', '%', 20],
    ['20 kB', '%', null],
  ])('%s in %s is %s', (text, unit, value) => expect(numberIn(text, unit)).toBe(value));

  it.each([
    ['2*18px', '36px'],
    ['48px', '48px'],
    ['clamp(34px, 5vw, 72px)', 'clamp(34px, 5vw, 72px)'],
    ['1,5*2rem', '3rem'],
  ])('the length %s is %s', (text, length) => expect(lengthIn(text)).toBe(length));

  it('says and reads the same number', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -100_000, max: 100_000 }),
        fc.constantFrom('px', '%', '°', ''),
        (n, unit) => {
          expect(numberIn(withUnit(n / 100, unit), unit)).toBeCloseTo(n / 100, 6);
        },
      ),
    );
  });

  it('nudges by tenths too', () => expect(nudgeLength('48px', 0.1)).toBe('48.1px'));
});

describe('an address', () => {
  const address = fc
    .record(
      {
        view: fc.constantFrom('bench' as const, 'shelf' as const, 'take' as const),
        ...Object.fromEntries(NAMES.map((n) => [n, fc.string({ minLength: 1 })])),
      },
      { requiredKeys: ['view'] },
    )
    .map((a) => a as Address);

  it('is read as it was written', () => {
    fc.assert(
      fc.property(address, (a) => {
        expect(read(write(a))).toEqual({ ...a });
      }),
    );
  });

  it('of no view that there is leads to the bench', () =>
    expect(read('?view=elsewhere&x=1')).toEqual({ view: 'bench' }));

  it('is a step when the view changes and none when a card is walked to', () => {
    const from: Address = { view: 'bench', page: 'home', area: 'banner', card: 'dusk' };
    expect(isStep(from, { ...from, view: 'shelf' })).toBe(true);
    expect(isStep(from, { ...from, panel: 'keys' })).toBe(true);
    expect(isStep(from, { ...from, card: 'dawn' })).toBe(false);
    expect(isStep({ ...from, panel: 'keys' }, from)).toBe(false);
  });
});

describe('screens beside each other', () => {
  const SCREENS = [
    { id: 'desktop', width: 1440, height: 900 },
    { id: 'tablet', width: 820, height: 1180 },
    { id: 'phone', width: 390, height: 844 },
  ] as Screen[];

  it('fit into every window, at one scale', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 320, max: 2560 }),
        fc.integer({ min: 150, max: 1300 }),
        (width, height) => {
          const shown = SCREENS.slice(0, arrangementOf(width, height + 44).screens);
          const places = layout({ screens: shown, width, height, readings: 48 });
          const wide = shown.reduce((sum, s) => sum + places.column(s), places.gap * (shown.length - 1));
          expect(wide).toBeLessThanOrEqual(width + 1);
          for (const s of shown) expect(s.width * places.scale).toBeLessThanOrEqual(places.column(s) + 1);
          expect(places.height).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('are one, two, or three', () => {
    expect(arrangementOf(640, 400)).toEqual({ screens: 1, drawer: true, cramped: false });
    expect(arrangementOf(1024, 768)).toEqual({ screens: 2, drawer: false, cramped: false });
    expect(arrangementOf(1280, 800)).toEqual({ screens: 3, drawer: false, cramped: false });
    expect(arrangementOf(390, 844).cramped).toBe(true);
  });
});

it('cards of the build-up fill a strip and stay large enough to be seen', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 14 }),
      fc.integer({ min: 300, max: 1800 }),
      fc.integer({ min: 180, max: 460 }),
      (n, w, h) => {
        const { card, step, picture, line } = measures(n, w, h);
        expect(card).toBeGreaterThanOrEqual(96);
        expect(step).toBeGreaterThan(card);
        expect(picture).toBeGreaterThanOrEqual(56);
        expect(line).toBeGreaterThanOrEqual(56);
        if (card > 96) expect(n * step).toBeLessThanOrEqual(w);
      },
    ),
  );
});

it('a patch of the server is applied, whatever its keys are', () => {
  const old = { 'a/b': { '~x': [1, 2, 3] }, keep: { deep: true } };
  const next = patched(old, [
    { op: 'replace', path: '/a~1b/~0x/1', value: 9 },
    { op: 'move', from: '/a~1b/~0x/0', path: '/a~1b/~0x/2' },
  ]);
  expect(next).toEqual({ 'a/b': { '~x': [9, 3, 1] }, keep: { deep: true } });
  expect(next.keep).toBe(old.keep);
  expect(old['a/b']['~x']).toEqual([1, 2, 3]);
  expect(patched(old, [{ op: 'replace', path: '', value: 4 }])).toBe(4);
});

describe('a target', () => {
  const site = smallSite();
  it.each([
    [{}, ''],
    [{ page: 'home' }, '/pages/0'],
    [{ page: 'home', band: 'week' }, '/pages/0/bands/1'],
    [{ page: 'home', area: 'week' }, '/pages/0/bands/1'],
    [{ page: 'home', area: 'banner', layer: 'dusk' }, '/pages/0/bands/0/backdrop/layers/1'],
    // it has moved into another area since
    [{ page: 'home', area: 'banner', layer: 'moss' }, '/pages/0/bands/1/backdrop/layers/0'],
    [{ page: 'home', block: 'week-words' }, '/pages/0/bands/1/columns/0/blocks/0'],
    [{ list: 'assets', item: 'fern' }, '/assets/0'],
  ])('%j is at %s', (target, path) => expect(pathOf(site, target)).toBe(path));

  it.each([
    { page: 'away' },
    { page: 'home', area: 'away' },
    { page: 'home', area: 'banner', layer: 'away' },
    { list: 'slots', item: 'away' },
  ])('%j is gone', (target) => expect(() => pathOf(site, target)).toThrow(GoneError));
});

it.each([
  [['', 'The fern fair'], 'The fern fair'],
  [['This week in the house and more'], 'This week in the …'],
  [[], ''],
])('first words of %j are %s', (wordings, name) => {
  expect(firstWords(wordings.map((wording, n) => ({ id: String(n), kind: 'text', wording })) as never)).toBe(
    name,
  );
});

describe('weights of fonts', () => {
  it.each([
    [[[100, 900]], [100, 200, 300, 400, 500, 600, 700, 800, 900]],
    [
      [
        [400, 400],
        [700, 700],
      ],
      [400, 700],
    ],
    [[[300, 1000]], [300, 400, 500, 600, 700, 800, 900, 1000]],
    [[[350, 350]], [350]],
  ])('%j can be set to %j', (ranges, weights) => expect(weightsOf(ranges)).toEqual(weights));

  it.each([
    [400, [400, 700], 400],
    [400, [500, 300], 500],
    [450, [600, 300], 300],
    [300, [200, 400], 200],
    [600, [500, 700], 700],
    [900, [400, 700], 700],
  ])('where %d is wanted of %j, %d is shown', (wanted, there, shown) =>
    expect(
      weightShown(
        wanted,
        there.map((weight) => [weight, weight]),
      ),
    ).toBe(shown),
  );
});

describe('one call at a time', () => {
  it('carries out the first and the last of those that come meanwhile', async () => {
    const done: number[] = [];
    const calls = new Latest();
    for (const n of [1, 2, 3])
      calls.run(async () => {
        await Promise.resolve();
        done.push(n);
      });
    await vi.waitUntil(() => calls.idle);
    expect(done).toEqual([1, 3]);
  });

  it('tells of one that fails, and goes on', async () => {
    const told = vi.fn();
    vi.stubGlobal('reportError', told);
    const done: number[] = [];
    const calls = new Latest();
    calls.run(() => Promise.reject(new Error('no')));
    calls.run(() => Promise.resolve(void done.push(2)));
    await vi.waitUntil(() => calls.idle);
    calls.run(() => Promise.resolve(void done.push(3)));
    await vi.waitUntil(() => calls.idle);
    expect(done).toEqual([2, 3]);
    expect(told).toHaveBeenCalledOnce();
    vi.unstubAllGlobals();
  });
});
