import fc from 'fast-check';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Layer } from '../src/api/types';
import { Doc } from '../src/state/doc.svelte';
import { Edits, type Server } from '../src/state/edits.svelte';
import { Editor } from '../src/state/editor';
import { Hand } from '../src/state/hand.svelte';
import { Notices } from '../src/state/notices.svelte';
import { Selection } from '../src/state/selection.svelte';
import { put, take } from '../src/state/target';
import { PlainServer } from './server';
import { smallSite } from './site';

beforeEach(() => {
  vi.useFakeTimers();
});

function window(server: PlainServer) {
  const notices = new Notices();
  const doc = new Doc();
  const edits = new Edits(doc, notices, server as unknown as Server);
  const selection = new Selection(doc, edits);
  doc.take(server.now());
  selection.choose('banner', 'dusk');
  /** A control of the chosen layer: it is made for that one, as settings are. */
  const control = () => {
    const id = selection.cardId;
    const to = new Editor(edits, selection.layerTarget(id));
    const hand = new Hand<number>(edits);
    const way = {
      show: (opacity: number) => to.show({ opacity }),
      keep: (opacity: number) => to.keep({ opacity }, `${id} at ${opacity}`),
    };
    return { id, hand, way };
  };
  return { notices, doc, edits, selection, control };
}

const layersOf = (server: PlainServer): Layer[] =>
  server.document.pages[0]!.bands!.flatMap((b) => (b.backdrop?.layers ?? []) as Layer[]);
const opacities = (server: PlainServer) => Object.fromEntries(layersOf(server).map((l) => [l.id, l.opacity]));

describe('an edit', () => {
  it('lands on what it was begun for, when another card is chosen before the pause is over', async () => {
    const server = new PlainServer(smallSite());
    const { selection, control } = window(server);
    const { hand, way } = control();
    hand.nudge(0.5, way);
    hand.nudge(0.6, way);
    selection.walk(-1);
    await vi.runAllTimersAsync();
    expect(opacities(server)).toEqual({ dawn: 0.2, dusk: 0.6, moss: 0.2 });
    expect(server.steps.length).toBe(2);
  });

  it('is settled before undo, which then takes it back', async () => {
    const server = new PlainServer(smallSite());
    const { edits, control } = window(server);
    const { hand, way } = control();
    hand.show(0.9, way);
    await edits.move('undo');
    await vi.runAllTimersAsync();
    expect(opacities(server).dusk).toBe(0.2);
    expect(server.now().redo).toBe('dusk at 0.9');
  });

  it('of a layer that was taken away meanwhile is refused in words', async () => {
    const server = new PlainServer(smallSite());
    const mine = window(server);
    const theirs = window(server);
    await theirs.edits.keep(take({ page: 'home', area: 'banner', layer: 'dusk' }), 'Remove dusk');
    const { hand, way } = mine.control();
    hand.show(0.9, way);
    const refused = await hand.settle();
    expect(refused?.message).toContain('taken away meanwhile');
    expect(layersOf(server).map((l) => l.id)).toEqual(['dawn', 'moss']);
  });

  it('of two hands on the same setting: the later wins, and is told what it was', async () => {
    const server = new PlainServer(smallSite());
    const mine = window(server);
    const theirs = window(server);
    const dusk = { page: 'home', area: 'banner', layer: 'dusk' };
    await theirs.edits.keep(put(dusk, { opacity: 0.4 }), 'Dusk at 40 %');
    await mine.edits.keep(put(dusk, { opacity: 0.7 }), 'Dusk at 70 %');
    expect(opacities(server).dusk).toBe(0.7);
    expect(mine.notices.notice?.text).toContain('another window had made it 0.4');
  });

  it('that was begun before another hand had kept its own is told of it too', async () => {
    const server = new PlainServer(smallSite());
    const mine = window(server);
    const theirs = window(server);
    const { hand, way } = mine.control();
    hand.show(0.7, way);
    await theirs.edits.keep(
      put({ page: 'home', area: 'banner', layer: 'dusk' }, { opacity: 0.4 }),
      'Dusk at 40 %',
    );
    await mine.edits.follow(server.revision);
    await hand.settle();
    expect(opacities(server).dusk).toBe(0.7);
    expect(mine.notices.notice?.text).toContain('another window had made it 0.4');
  });

  it('of one hand that sets the same twice, the later begun before the first was kept, nobody is told', async () => {
    const server = new PlainServer(smallSite());
    const mine = window(server);
    const dusk = { page: 'home', area: 'banner', layer: 'dusk' };
    const before = mine.doc.state;
    await mine.edits.keep(put(dusk, { opacity: 0.4 }), 'Dusk at 40 %');
    await mine.edits.begunOn(before, () => mine.edits.keep(put(dusk, { opacity: 0.7 }), 'Dusk at 70 %'));
    expect(opacities(server).dusk).toBe(0.7);
    expect(mine.notices.notice).toBeNull();
  });

  it('follows its layer when another window has moved it', async () => {
    const server = new PlainServer(smallSite());
    const mine = window(server);
    const theirs = window(server);
    const { hand, way } = mine.control();
    hand.show(0.8, way);
    await theirs.edits.keep(
      () => [
        {
          op: 'move',
          from: '/pages/0/bands/0/backdrop/layers/1',
          path: '/pages/0/bands/0/backdrop/layers/0',
        },
      ],
      'Move',
    );
    await hand.settle();
    expect(layersOf(server).map((l) => l.id)).toEqual(['dusk', 'dawn', 'moss']);
    expect(opacities(server)).toEqual({ dusk: 0.8, dawn: 0.2, moss: 0.2 });
    expect(mine.notices.notice).toBeNull();
  });

  it('chooses what it made, unless the hand has chosen something else before it was kept', async () => {
    const server = new PlainServer(smallSite());
    const { edits, selection } = window(server);
    const strength = (opacity: number) =>
      edits.keep(put(selection.layerTarget('dusk'), { opacity }), 'Dusk', () =>
        selection.chooseCard('words'),
      );
    const first = strength(0.3);
    const second = strength(0.4);
    await first;
    expect(selection.cardId).toBe('words');
    selection.chooseCard('dawn');
    await second;
    expect(selection.cardId).toBe('dawn');
  });

  it('may choose more than once, when several are asked for in a row', async () => {
    const server = new PlainServer(smallSite());
    const { edits, selection } = window(server);
    const cards = ['dawn', 'words'];
    const kept = cards.map((card, n) =>
      edits.keep(put(selection.layerTarget('dusk'), { opacity: 0.3 + n / 10 }), 'Dusk', () =>
        selection.chooseCard(card),
      ),
    );
    await Promise.all(kept);
    expect(selection.cardId).toBe('words');
  });

  it('that changes nothing makes no step', async () => {
    const server = new PlainServer(smallSite());
    const { edits } = window(server);
    expect(
      await edits.keep(put({ page: 'home', area: 'banner', layer: 'dusk' }, { opacity: 0.2 }), 'none'),
    ).toBeNull();
    expect(server.steps.length).toBe(1);
  });

  it('that is left with Escape shows what was there', () => {
    const server = new PlainServer(smallSite());
    const { doc, control } = window(server);
    const { hand, way } = control();
    hand.show(0.9, way);
    expect(doc.draft.length).toBe(1);
    hand.drop();
    expect(doc.draft).toEqual([]);
  });
});

type Step =
  | { do: 'pull' | 'nudge'; to: number }
  | { do: 'let go' | 'undo' | 'redo' | 'wait' | 'leave' }
  | { do: 'choose'; area: string; card: string };

const CARDS = [
  ['banner', 'dawn'],
  ['banner', 'dusk'],
  ['week', 'moss'],
] as const;
const steps = fc.array(
  fc.oneof(
    fc.record({
      do: fc.constantFrom('pull' as const, 'nudge' as const),
      to: fc.integer({ min: 0, max: 100 }),
    }),
    fc.record({
      do: fc.constantFrom(
        'let go' as const,
        'undo' as const,
        'redo' as const,
        'wait' as const,
        'leave' as const,
      ),
    }),
    fc.constantFrom(...CARDS).map(([area, card]) => ({ do: 'choose' as const, area, card })),
  ),
  { minLength: 1, maxLength: 24 },
);

/** What should have become of it: values by layer, one step for each value that was settled and was another. */
class Model {
  history: Record<string, number>[] = [{ dawn: 0.2, dusk: 0.2, moss: 0.2 }];
  at = 0;
  card = 'dusk';
  value: number | null = null;

  settle(): void {
    const { value } = this;
    this.value = null;
    const now = this.history[this.at]!;
    if (value === null || now[this.card] === value) return;
    this.history = [...this.history.slice(0, this.at + 1), { ...now, [this.card]: value }];
    this.at += 1;
  }

  run(step: Step): void {
    if (step.do === 'pull' || step.do === 'nudge') this.value = step.to / 100;
    else if (step.do === 'leave') this.value = null;
    else {
      this.settle();
      if (step.do === 'choose') this.card = step.card;
      if (step.do === 'undo') this.at = Math.max(0, this.at - 1);
      if (step.do === 'redo') this.at = Math.min(this.history.length - 1, this.at + 1);
    }
  }
}

describe('whatever is done in whatever order', () => {
  it('each value lands on its own layer, once', async () => {
    await fc.assert(
      fc.asyncProperty(steps, fc.integer({ min: 0, max: 600 }), async (all: Step[], delay) => {
        const server = new PlainServer(smallSite());
        server.delay = () => delay;
        const { edits, selection, control } = window(server);
        const model = new Model();
        let one = control();
        for (const step of all) {
          model.run(step);
          if (step.do === 'pull') one.hand.show(step.to / 100, one.way);
          else if (step.do === 'nudge') one.hand.nudge(step.to / 100, one.way);
          else if (step.do === 'let go') void one.hand.settle();
          else if (step.do === 'leave') one.hand.drop();
          else if (step.do === 'wait') await vi.advanceTimersByTimeAsync(500);
          else if (step.do === 'choose') {
            selection.choose(step.area, step.card);
            one = control();
          } else void edits.move(step.do);
          // a pull that nobody lets go is kept by what comes next; a nudge by itself after its pause
          if (step.do === 'wait') model.settle();
          if (step.do === 'wait') void one.hand.settle();
        }
        model.settle();
        void edits.settle();
        await vi.runAllTimersAsync();
        expect(opacities(server)).toEqual(model.history[model.at]);
        expect(server.steps.length).toBe(model.history.length);
      }),
      { numRuns: 300 },
    );
  });
});
