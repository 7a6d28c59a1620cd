import type { Live } from '../api/types';

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

/** The ids of everything around a spot that was clicked, the innermost first. */
export function idsAt(target: EventTarget | null): string[] {
  const ids: string[] = [];
  for (let element = target as Element | null; element; element = element.parentElement)
    for (const name of element.classList) if (name.startsWith('gf-')) ids.push(name.slice(3));
  return ids;
}

/** The element of an area on a page; the page itself is its body. */
export function elementOf(page: Document, area: string, isPage: boolean): HTMLElement | null {
  return isPage ? page.body : page.querySelector<HTMLElement>(`.gf-${area}`);
}
