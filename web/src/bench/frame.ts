import type { Live, Reading } from '../api/types';

const MARKS = 'gf-marks';
const SVG = 'http://www.w3.org/2000/svg';

function put(page: Document, id: string, text: string): void {
  const element = page.getElementById(id);
  if (element && element.textContent !== text) element.textContent = text;
}

/** Bring a live page to what the core has emitted; what is the same is left alone. */
export function apply(page: Document, live: Live): void {
  put(page, 'gf-fonts', live.fonts);
  put(page, 'gf-css', live.css);
  const shown = page.body.dataset.shown;
  if (shown !== live.body) {
    page.body.innerHTML = live.body;
    page.body.dataset.shown = live.body;
  }
}

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

function path(page: Document, d: string, colour: string, width: number): SVGPathElement {
  const element = page.createElementNS(SVG, 'path');
  for (const [name, value] of Object.entries({
    d,
    stroke: colour,
    'stroke-width': String(width),
    fill: 'none',
  }))
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

function layer(page: Document): SVGSVGElement {
  const old = page.getElementById(MARKS);
  if (old) return old as unknown as SVGSVGElement;
  const svg = page.createElementNS(SVG, 'svg') as SVGSVGElement;
  svg.id = MARKS;
  svg.setAttribute('aria-hidden', 'true');
  svg.style.cssText =
    'position:absolute;left:0;top:0;overflow:visible;pointer-events:none;width:1px;height:1px';
  page.documentElement.append(svg);
  return svg;
}

/** Mark letters that fall short, in place; `scale` keeps the marks' thickness the same at every size of a screen. */
export function mark(page: Document, readings: Reading[], scale: number): void {
  const strokes = spans(readings).flatMap((span) => {
    const d = zigzag(span, 4 / scale);
    return [path(page, d, '#fff6e0', 4 / scale), path(page, d, '#a35f00', 1.8 / scale)];
  });
  layer(page).replaceChildren(...strokes);
}

/** The band and the block under a spot that was clicked. */
export function clicked(
  target: EventTarget | null,
  bands: string[],
  blocks: Set<string>,
): [string, string | null] | null {
  const names = (element: Element) => [...element.classList].map((c) => c.replace(/^gf-/, ''));
  let block: string | null = null;
  for (let element = target as Element | null; element; element = element.parentElement) {
    const all = names(element);
    block ??= all.find((name) => blocks.has(name)) ?? null;
    const band = all.find((name) => bands.includes(name));
    if (band) return [band, block];
  }
  return null;
}
