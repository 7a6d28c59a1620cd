import type { Bench } from './bench/bench.svelte';
import type { View } from './views';

export type Commands = {
  inPlace: (on?: boolean) => void;
  help: (on?: boolean) => void;
  view: (view: View) => void;
};

export const SHORTCUTS: readonly { keys: string; what: string }[] = [
  { keys: 'Ctrl Z', what: 'undo' },
  { keys: 'Ctrl Shift Z', what: 'redo' },
  { keys: 'B held', what: 'show the state before' },
  { keys: 'V', what: 'in place: the page alone, and back' },
  { keys: 'L', what: 'in place: load slowly' },
  { keys: 'F', what: 'framing: the whole picture and its windows' },
  { keys: 'R', what: 'ways out for words that fall short' },
  { keys: '[ ]', what: 'walk along the build-up' },
  { keys: '1 2 3', what: 'bring a screen forward' },
  { keys: '0', what: 'all screens' },
  { keys: 'M', what: 'letters that fall short: marked or not' },
  { keys: 'Arrows', what: 'nudge a value; with Shift tenfold' },
  { keys: 'Alt ← →', what: 'move the chosen layer down or up' },
  { keys: 'Esc', what: 'leave what is open' },
  { keys: '?', what: 'this list' },
];

function takesText(target: EventTarget | null): boolean {
  const element = target as Partial<HTMLInputElement> | null;
  if (element?.tagName === 'TEXTAREA' || element?.tagName === 'SELECT') return true;
  return (
    element?.tagName === 'INPUT' &&
    !['range', 'radio', 'checkbox', 'color', 'file'].includes(element.type ?? '')
  );
}

/** The keys that work everywhere, for the window and for the pages inside it. */
export function keyHandlers(bench: Bench, commands: Commands) {
  const walk = (by: number) => {
    const cards = ['base', ...bench.layers.map((l) => l.id), 'words'];
    const next = cards[cards.indexOf(bench.cardId) + by];
    if (next) bench.chooseCard(next);
  };

  const plain: Record<string, () => void> = {
    b: () => void bench.hold(),
    v: () => commands.inPlace(),
    m: () => (bench.marked = !bench.marked),
    '[': () => walk(-1),
    ']': () => walk(1),
    '0': () => (bench.forward = null),
    f: () => commands.view('framing'),
    r: () => {
      commands.view('bench');
      bench.ways.toggle();
    },
    '?': () => commands.help(),
  };

  function down(event: KeyboardEvent): void {
    if (event.key === 'Escape') {
      commands.help(false);
      commands.inPlace(false);
      bench.eyedropper.leave();
      bench.ways.close();
      bench.forward = null;
      commands.view('bench');
      return;
    }
    if (takesText(event.target)) return;
    const key = event.key.toLowerCase();
    if (event.ctrlKey || event.metaKey) {
      if (key === 'z') void bench.move(event.shiftKey ? 'redo' : 'undo');
      else if (key === 'y') void bench.move('redo');
      else return;
      event.preventDefault();
      return;
    }
    if (event.altKey || event.repeat) return;
    const screen = bench.screens[Number(key) - 1];
    if (screen) bench.forward = screen.id;
    else plain[key]?.();
  }

  function up(event: KeyboardEvent): void {
    if (event.key.toLowerCase() === 'b') bench.release();
  }

  return { down, up };
}
