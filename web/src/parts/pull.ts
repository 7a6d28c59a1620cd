import type { Attachment } from 'svelte/attachments';

/** Where a pull is: in fractions of the element it is measured in, and in px of the window. */
export type Spot = { x: number; y: number; across: number; down: number; event: PointerEvent };

export type Pull = {
  /** Whether it may begin here; by default always. */
  begin?: (spot: Spot) => boolean | void;
  move?: (spot: Spot) => void;
  /** It was let go: `moved` tells whether it was more than a press. */
  end?: (spot: Spot, moved: boolean) => void;
  /** It was broken off by Escape or by the system; what was there should show again. */
  cancel?: () => void;
  /** One step with the arrow keys: tenfold with Shift, a tenth with Alt. Says whether it was taken. */
  nudge?: (right: number, down: number, event: KeyboardEvent) => boolean | void;
  /** The element that fractions are measured in; by default the one that is pulled. */
  within?: (node: Element) => Element | null;
  /** With a finger it begins after a short hold, so that a swipe still scrolls. */
  hold?: boolean;
};

/** How far a pointer moves before a press becomes a pull, px. */
export const SLACK = 4;
/** How long a finger rests before it pulls instead of scrolling, ms. */
const HOLD = 260;

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The step that an arrow key asks for: tenfold with Shift, a tenth with Alt; null for other keys. */
export function arrow(event: KeyboardEvent): [number, number] | null {
  const step = STEPS[event.key];
  if (!step || event.ctrlKey || event.metaKey) return null;
  const times = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
  return [step[0] * times, step[1] * times];
}

function spotOf(event: PointerEvent, element: Element): Spot {
  const box = element.getBoundingClientRect();
  return {
    x: (event.clientX - box.left) / (box.width || 1),
    y: (event.clientY - box.top) / (box.height || 1),
    across: event.clientX,
    down: event.clientY,
    event,
  };
}

/** Pulling an element with mouse, pen, finger or arrow keys. */
export function pull(options: Pull): Attachment<HTMLElement | SVGElement> {
  return (element) => {
    // what pulling needs, elements of pages and of drawings have alike
    const node = element as HTMLElement;
    let from: PointerEvent | null = null;
    let moved = false;
    let ready = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const within = () => options.within?.(node) ?? node;

    function leave(): void {
      clearTimeout(timer);
      window.removeEventListener('keydown', escape, true);
      from = null;
      moved = false;
      ready = false;
    }

    function escape(event: KeyboardEvent): void {
      if (event.key !== 'Escape') return;
      event.preventDefault();
      event.stopPropagation();
      leave();
      options.cancel?.();
    }

    function down(event: PointerEvent): void {
      if (event.button !== 0 || from) return;
      if (options.begin?.(spotOf(event, within())) === false) return;
      event.stopPropagation();
      from = event;
      ready = !(options.hold && event.pointerType === 'touch');
      if (!ready) timer = setTimeout(() => (ready = true), HOLD);
      node.setPointerCapture(event.pointerId);
      window.addEventListener('keydown', escape, true);
    }

    function move(event: PointerEvent): void {
      if (!from || event.pointerId !== from.pointerId) return;
      const far = Math.hypot(event.clientX - from.clientX, event.clientY - from.clientY);
      if (!ready) {
        // it swipes: the browser scrolls
        if (far > 2 * SLACK) leave();
        return;
      }
      if (!moved && far < SLACK) return;
      moved = true;
      options.move?.(spotOf(event, within()));
    }

    function up(event: PointerEvent): void {
      if (!from || event.pointerId !== from.pointerId) return;
      const was = moved;
      leave();
      options.end?.(spotOf(event, within()), was);
      // the click that follows a pull is none
      if (was) node.addEventListener('click', swallow, { capture: true, once: true });
      setTimeout(() => node.removeEventListener('click', swallow, { capture: true }), 0);
    }

    function swallow(event: Event): void {
      event.preventDefault();
      event.stopImmediatePropagation();
    }

    function broken(event: PointerEvent): void {
      if (!from || event.pointerId !== from.pointerId) return;
      leave();
      options.cancel?.();
    }

    function touch(event: TouchEvent): void {
      if (from && ready && event.cancelable) event.preventDefault();
    }

    function key(event: KeyboardEvent): void {
      const step = arrow(event);
      if (step && options.nudge && options.nudge(step[0], step[1], event) !== false) event.preventDefault();
    }

    if (!options.hold) node.style.touchAction = 'none';
    node.addEventListener('pointerdown', down);
    node.addEventListener('pointermove', move);
    node.addEventListener('pointerup', up);
    node.addEventListener('pointercancel', broken);
    node.addEventListener('touchmove', touch, { passive: false });
    node.addEventListener('keydown', key);
    return () => {
      leave();
      node.removeEventListener('pointerdown', down);
      node.removeEventListener('pointermove', move);
      node.removeEventListener('pointerup', up);
      node.removeEventListener('pointercancel', broken);
      node.removeEventListener('touchmove', touch);
      node.removeEventListener('keydown', key);
    };
  };
}
