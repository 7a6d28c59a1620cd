import type { Bench } from './state/bench';

export const SHORTCUTS: readonly { keys: string; what: string }[] = [
  { keys: 'Ctrl Z', what: 'undo' },
  { keys: 'Ctrl Shift Z', what: 'redo' },
  { keys: 'B held', what: 'show the state before' },
  { keys: 'V', what: 'in place: the page alone, and back' },
  { keys: 'L', what: 'in place: load slowly' },
  { keys: 'F', what: 'framing: the whole picture and its windows' },
  { keys: 'R', what: 'ways out for words that fall short' },
  { keys: 'W', what: 'whole banners of the chosen band' },
  { keys: 'E', what: 'other eyes: the screens as other people see them' },
  { keys: 'Space', what: 'let what moves run, or stop it' },
  { keys: '[ ]', what: 'walk along the build-up' },
  { keys: '1 2 3', what: 'bring a screen forward' },
  { keys: '0', what: 'all screens' },
  { keys: 'M', what: 'letters that fall short: marked or not' },
  { keys: 'Arrows', what: 'nudge a value; with Shift tenfold, with Alt a tenth' },
  { keys: 'Alt ← →', what: 'move the chosen layer down or up' },
  { keys: 'Esc', what: 'leave what is under way, then what is open' },
  { keys: '?', what: 'this list' },
];

const NO_TEXT = ['range', 'radio', 'checkbox', 'color', 'file', 'button', 'submit'];

/** Whether a text field belongs to the site: what was typed into it is kept, and undone as a step. */
function isKept(target: EventTarget | null): boolean {
  return (target as Partial<HTMLElement> | null)?.dataset?.kept !== undefined;
}

function takesText(target: EventTarget | null): boolean {
  const element = target as Partial<HTMLInputElement> | null;
  if (element?.tagName === 'TEXTAREA' || element?.tagName === 'SELECT') return true;
  return element?.tagName === 'INPUT' && !NO_TEXT.includes(element.type ?? '');
}

/** Whether a key presses something by itself there. */
function presses(target: EventTarget | null): boolean {
  const element = target as Partial<Element> | null;
  return element?.matches?.('button, a, summary, input, label, [role=tab], [role=menuitem]') ?? false;
}

/** The keys that work everywhere, for the window and for the pages inside it. */
export function keyHandlers(bench: Bench) {
  const { banners, doc, edits, eyes, movement, place, selection, sight, eyedropper, ways } = bench;
  const plain: Record<string, () => void> = {
    b: () => void sight.hold(),
    v: () => place.toggle('in-place'),
    m: () => (sight.marked = !sight.marked),
    '[': () => selection.walk(-1),
    ']': () => selection.walk(1),
    '0': () => sight.bring(null),
    f: () => place.go('framing'),
    r: () => {
      place.go('bench');
      ways.toggle();
    },
    w: () => {
      place.go('bench');
      ways.close();
      if (banners.band) banners.toggle();
    },
    e: () => {
      place.go('bench');
      place.toggle('eyes');
    },
    '?': () => place.toggle('keys'),
    ' ': () => movement.toggle(),
  };

  /** Leave the innermost thing that is open; one press, one thing. */
  function leave(): void {
    if (eyedropper.taker) eyedropper.leave();
    else if (place.panel) place.panel = '';
    else if (place.view !== 'bench') place.go('bench');
    else if (ways.open) ways.close();
    else if (banners.open) banners.close();
    else if (eyes.kind) eyes.choose('');
    else if (sight.situation) sight.meet(null);
    else if (sight.forward) sight.bring(null);
  }

  function down(event: KeyboardEvent): void {
    if (event.defaultPrevented) return;
    if (event.key === 'Escape') return leave();
    const key = event.key.toLowerCase();
    const held = event.ctrlKey || event.metaKey;
    // while something is typed, undo is the field's own; once it is kept, it is the site's
    if (takesText(event.target) && !(held && isKept(event.target) && !edits.busy)) return;
    if (held) {
      if (key === 'z') void edits.move(event.shiftKey ? 'redo' : 'undo');
      else if (key === 'y') void edits.move('redo');
      else return;
      event.preventDefault();
      return;
    }
    if (event.altKey || event.repeat) return;
    if (key === ' ') {
      if (presses(event.target)) return;
      event.preventDefault();
    }
    const screen = doc.screens[Number(key) - 1];
    if (screen) sight.bring(screen.id);
    else plain[key]?.();
  }

  function up(event: KeyboardEvent): void {
    if (event.key.toLowerCase() === 'b') sight.release();
  }

  return { down, up };
}
