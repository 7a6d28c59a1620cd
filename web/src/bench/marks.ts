import type { Misfit, Reading } from '../api/types';

const SVG = 'http://www.w3.org/2000/svg';

type Span = { left: number; right: number; foot: number };

/** Neighbouring letters of a line that fall short, as one span each, in px of the page. */
export function spans(readings: Reading[]): Span[] {
  const found: Span[] = [];
  for (const reading of readings) {
    let last: (Span & { line: number; index: number }) | null = null;
    for (const { box, line, index } of reading.short) {
      const [left, top, width, height] = box;
      if (last && last.line === line && index - last.index <= 2) {
        last.right = left + width;
        last.foot = Math.max(last.foot, top + height);
        last.index = index;
      } else {
        last = { left, right: left + width, foot: top + height, line, index };
        found.push(last);
      }
    }
  }
  return found;
}

/** The letter that falls short at a spot of the page, with what is required of it. */
export function letterAt(
  readings: Reading[],
  x: number,
  y: number,
): { letter: Reading['short'][number]; reading: Reading } | null {
  for (const reading of readings)
    for (const letter of reading.short) {
      const [left, top, width, height] = letter.box;
      if (x >= left && x <= left + width && y >= top && y <= top + height) return { letter, reading };
    }
  return null;
}

function path(page: Document, d: string, attributes: Record<string, string>): SVGPathElement {
  const element = page.createElementNS(SVG, 'path');
  for (const [name, value] of Object.entries({ d, fill: 'none', ...attributes }))
    element.setAttribute(name, value);
  return element;
}

function zigzag({ left, right, foot }: Span, step: number): string {
  let d = `M${left} ${foot}`;
  let up = true;
  for (let x = left + step; x <= right + step / 2; x += step) {
    d += `L${x} ${foot + (up ? step * 0.7 : 0)}`;
    up = !up;
  }
  return d;
}

function layer(page: Document, id: string): SVGSVGElement {
  const old = page.getElementById(id);
  if (old) return old as unknown as SVGSVGElement;
  const svg = page.createElementNS(SVG, 'svg') as SVGSVGElement;
  svg.id = id;
  svg.setAttribute('aria-hidden', 'true');
  svg.style.cssText =
    'position:absolute;left:0;top:0;overflow:visible;pointer-events:none;width:1px;height:1px';
  page.documentElement.append(svg);
  return svg;
}

/** A dashed frame round a place where words do not fit. */
function misplaced(
  page: Document,
  [left, top, width, height]: Misfit['boxes'][number],
  scale: number,
): SVGPathElement[] {
  const around = 2 / scale;
  const box = {
    left: left - around,
    top: top - around,
    right: left + width + around,
    bottom: top + height + around,
  };
  const dashes = { 'stroke-dasharray': `${6 / scale} ${4 / scale}` };
  return [
    path(page, frame(box), { stroke: '#fff6e0', 'stroke-width': String(4 / scale) }),
    path(page, frame(box), { stroke: '#a35f00', 'stroke-width': String(1.8 / scale), ...dashes }),
  ];
}

/** Mark letters that fall short, and words that do not fit, in place; `scale` keeps the marks' thickness the same at every size of a screen. */
export function mark(page: Document, readings: Reading[], misfits: Misfit[], scale: number): void {
  const strokes = spans(readings).flatMap((span) => {
    const d = zigzag(span, 4 / scale);
    return [
      path(page, d, { stroke: '#fff6e0', 'stroke-width': String(4 / scale) }),
      path(page, d, { stroke: '#a35f00', 'stroke-width': String(1.8 / scale) }),
    ];
  });
  strokes.push(...misfits.flatMap((m) => m.boxes.flatMap((box) => misplaced(page, box, scale))));
  const svg = layer(page, 'gf-marks');
  const old = [...svg.children];
  const same = old.length === strokes.length && old.every((o, k) => o.isEqualNode(strokes[k] ?? null));
  // marks that stay are not exchanged: every answer of the core comes by here
  if (!same) svg.replaceChildren(...strokes);
}

type Rect = { left: number; top: number; right: number; bottom: number };

function rectOf(page: Document, element: Element): Rect {
  const box = element.getBoundingClientRect();
  const { scrollX, scrollY } = page.defaultView ?? { scrollX: 0, scrollY: 0 };
  const top = box.top + scrollY;
  const left = box.left + scrollX;
  return { left, top, right: left + box.width, bottom: top + box.height };
}

const frame = ({ left, top, right, bottom }: Rect) => `M${left} ${top}H${right}V${bottom}H${left}Z`;

/** Marks in the four corners of a box, `reach` px long. */
function corners({ left, top, right, bottom }: Rect, reach: number): string {
  const x = Math.min(reach, (right - left) / 3);
  const y = Math.min(reach, (bottom - top) / 3);
  return (
    `M${left} ${top + y}V${top}H${left + x}M${right - x} ${top}H${right}V${top + y}` +
    `M${right} ${bottom - y}V${bottom}H${right - x}M${left + x} ${bottom}H${left}V${bottom - y}`
  );
}

export type Outline = { element: HTMLElement | null; flash: boolean; spaces: boolean };

function spacesOf(page: Document, element: HTMLElement, box: Rect): SVGPathElement[] {
  const style = page.defaultView?.getComputedStyle(element);
  if (!style) return [];
  const px = (name: string) => Number.parseFloat(style.getPropertyValue(name)) || 0;
  const inner = {
    left: box.left + px('padding-left'),
    right: box.right - px('padding-right'),
    top: box.top + px('padding-top'),
    bottom: box.bottom - px('padding-bottom'),
  };
  const outer = { ...box, top: box.top - px('margin-top'), bottom: box.bottom + px('margin-bottom') };
  return [
    path(page, frame(box) + frame(inner), {
      fill: '#3f8f57',
      'fill-opacity': '0.38',
      'fill-rule': 'evenodd',
    }),
    path(page, frame(outer) + frame(box), { fill: '#b3651a', 'fill-opacity': '0.5', 'fill-rule': 'evenodd' }),
  ];
}

/** Outline the chosen area; with `spaces` its inner space is shown in green and its outer space in brown. */
export function outline(page: Document, { element, flash, spaces }: Outline, scale: number): void {
  if (!element) {
    const empty = layer(page, 'gf-outline');
    empty.dataset.d = '';
    return empty.replaceChildren();
  }
  const whole = rectOf(page, element);
  const inset = 1.5 / scale;
  const box = {
    left: whole.left + inset,
    top: whole.top + inset,
    right: whole.right - inset,
    bottom: whole.bottom - inset,
  };
  const d = flash ? frame(box) : corners(box, 16 / scale);
  const svg = layer(page, 'gf-outline');
  if (!spaces && svg.dataset.d === d) return;
  svg.dataset.d = spaces ? '' : d;
  svg.replaceChildren(
    ...(spaces ? spacesOf(page, element, whole) : []),
    path(page, d, { stroke: 'white', 'stroke-width': String(4.5 / scale) }),
    path(page, d, { stroke: '#7b1e3a', 'stroke-width': String(2.5 / scale) }),
  );
}
