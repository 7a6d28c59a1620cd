import { viewOf, type View } from '../views';

/** All that an address says, as words. What is as it is at first is left out. */
export type Address = {
  view: View;
  site?: string;
  page?: string;
  area?: string;
  card?: string;
  block?: string;
  /** The screen that settings are made for. */
  scope?: string;
  /** The screen that is brought forward. */
  screen?: string;
  situation?: string;
  /** The eyes that the screens are seen through. */
  eyes?: string;
  /** The day whose page is looked at. */
  day?: string;
  /** The tab of the view or of the settings. */
  tab?: string;
  /** What is chosen in the view: a picture of the shelf, a width. */
  item?: string;
  /** What is open over the view: the keys, the page in place, ways out, a panel. */
  panel?: string;
};

export const NAMES = [
  'site',
  'page',
  'area',
  'card',
  'block',
  'scope',
  'screen',
  'situation',
  'eyes',
  'day',
  'tab',
  'item',
  'panel',
] as const;

/** Moving between these is a step of the browser's history; the rest only amends the present one. */
const STEPS = ['view', 'page', 'area', 'screen', 'situation', 'day', 'panel'] as const;

/** What the query of an address says. Unknown words are left out. */
export function read(search: string): Address {
  const query = new URLSearchParams(search);
  const found: Address = { view: viewOf(query.get('view')) };
  for (const name of NAMES) {
    const value = query.get(name);
    if (value) found[name] = value;
  }
  return found;
}

/** The query of an address. */
export function write(address: Address): string {
  const query = new URLSearchParams();
  if (address.view !== 'bench') query.set('view', address.view);
  for (const name of NAMES) {
    const value = address[name];
    if (value) query.set(name, value);
  }
  const text = query.toString();
  return text ? `?${text}` : '';
}

/** Whether going from one to the other is a step that Back leads back from. */
export function isStep(from: Address, to: Address): boolean {
  return STEPS.some((name) => from[name] !== to[name] && (name !== 'panel' || to.panel !== undefined));
}
