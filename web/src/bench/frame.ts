import type { Live } from '../api/types';

/** What a page was last brought to; lists that are the same are the same objects. */
const shown = new WeakMap<Document, Live>();

function put(page: Document, id: string, text: string): void {
  const element = page.getElementById(id);
  if (element && element.textContent !== text) element.textContent = text;
}

/** Bring a live page to what the core has emitted; what is the same is left alone. */
export function apply(page: Document, live: Live): void {
  const before = shown.get(page);
  shown.set(page, live);
  if (before?.fonts !== live.fonts) put(page, 'gf-fonts', live.fonts.join('\n'));
  if (before?.css !== live.css) put(page, 'gf-css', live.css.join('\n'));
  if (before?.body !== live.body) {
    const body = live.body.join('\n');
    if (page.body.dataset.shown !== body) {
      page.body.innerHTML = body;
      page.body.dataset.shown = body;
    }
  }
}

/** The id of an element that has one: its last class, behind one that all pages have. An id that is a word of ours as
 * well ends in an underscore there. */
function idOf({ classList }: Element): string[] {
  const names = [...classList].filter((name) => name.startsWith('gf-'));
  return names.length > 1 ? [names.at(-1)!.slice(3).replace(/_$/, '')] : [];
}

/** The ids of everything around a spot that was clicked, the innermost first. */
export function idsAt(target: EventTarget | null): string[] {
  const ids: string[] = [];
  for (let element = target as Element | null; element; element = element.parentElement)
    ids.push(...idOf(element));
  return ids;
}

/** The element of an area on a page; the page itself is its body. */
export function elementOf(page: Document, area: string, isPage: boolean): HTMLElement | null {
  if (isPage) return page.body;
  return page.querySelector<HTMLElement>(`.gf-${area}_`) ?? page.querySelector<HTMLElement>(`.gf-${area}`);
}
