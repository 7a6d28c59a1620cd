import { at } from '../api/patch';
import type { Layer, Operation, Site } from '../api/types';
import { membersOf } from '../layers/members';
import { areasOf, blockPath } from './tree';

/**
 * Something of the document, by its ids: what settings are made for. Where it stands is looked up whenever a change is
 * made of it, so that a change lands where it was meant to, whatever has been chosen, moved or taken away meanwhile.
 * The innermost id that is given is the target; none: the site.
 */
export type Target = {
  page?: string;
  band?: string;
  area?: string;
  layer?: string;
  block?: string;
  /** A list of the site (`assets`, `slots`, `looks`, `gradients`) and the id of what stands in it. */
  list?: string;
  item?: string;
};

/** What is to be changed, made anew for each state of the site that it meets. Throws GoneError. */
export type Change = (site: Site) => Operation[];

/** What was to be changed is not there any more. */
export class GoneError extends Error {
  constructor(message = 'What you were changing was taken away meanwhile. Nothing was changed.') {
    super(message);
  }
}

function found(path: string | null | undefined): string {
  if (!path) throw new GoneError();
  return path;
}

function numbered(list: readonly { id: string }[] | undefined, id: string, path: string): string {
  const n = (list ?? []).findIndex((one) => one.id === id);
  return found(n < 0 ? null : `${path}/${n}`);
}

/** A layer among others, or a member of one that is made of several. */
function layerPath(layers: readonly Layer[], id: string, path: string): string {
  for (const [n, layer] of layers.entries()) {
    if (layer.id === id) return `${path}/${n}`;
    const k = membersOf(layer).findIndex((m) => m.layer.id === id);
    if (k >= 0) return `${path}/${n}/members/${k}/layer`;
  }
  throw new GoneError();
}

/** The JSON Pointer (RFC 6901) of a target in a site. Throws GoneError. */
export function pathOf(site: Site, target: Target): string {
  if (target.list) {
    const list = (site as unknown as Record<string, { id: string }[] | undefined>)[target.list];
    return numbered(list, target.item ?? '', `/${target.list}`);
  }
  if (!target.page) return '';
  const path = numbered(site.pages, target.page, '/pages');
  const page = site.pages.find((p) => p.id === target.page);
  if (!page) throw new GoneError();
  if (target.block) return path + found(blockPath(page, target.block));
  if (target.band) return numbered(page.bands, target.band, `${path}/bands`);
  if (!target.area) return path;
  const areas = areasOf(page);
  const area = areas.find((a) => a.id === target.area);
  if (!target.layer) return path + found(area && `${area.path}/`).slice(0, -1);
  // where bands were joined or parted, its layer lies in another area now
  const layer = target.layer;
  const there = [...(area ? [area] : []), ...areas].find((a) =>
    (a.backdrop.layers ?? []).some((l) => l.id === layer || membersOf(l).some((m) => m.layer.id === layer)),
  );
  if (!there) throw new GoneError();
  return layerPath(there.backdrop.layers ?? [], layer, `${path}${there.path}/backdrop/layers`);
}

/** Set fields of a target, everywhere or on one screen alone. A field may be a path: `content/width`. */
export function put(target: Target, values: Record<string, unknown>, screen: string | null = null): Change {
  return (site) => {
    const path = pathOf(site, target);
    if (!screen)
      return Object.entries(values).map(([name, value]) => ({ op: 'add', path: `${path}/${name}`, value }));
    const item = at(site, path) as { screens?: Record<string, object> };
    const own = { ...item.screens?.[screen], ...values };
    return [{ op: 'add', path: `${path}/screens`, value: { ...item.screens, [screen]: own } }];
  };
}

/** Set fields that follow from what the target is at the time. */
export function alter<T>(target: Target, how: (item: T) => Record<string, unknown>): Change {
  return (site) => put(target, how(at(site, pathOf(site, target)) as T))(site);
}

/** Take a target away, or something inside of it. */
export function take(target: Target, inside = ''): Change {
  return (site) => [{ op: 'remove', path: pathOf(site, target) + inside }];
}

/** Both, one after the other; the second is made for the site as it was before. */
export function both(one: Change, other: Change): Change {
  return (site) => [...one(site), ...other(site)];
}

/** A patch that the core has made for one state of the site; it fits no other. */
export const given =
  (patch: unknown, of: Site | undefined): Change =>
  (site) => {
    if (site !== of)
      throw new GoneError(
        'The site has changed since this was found; look for it anew. Nothing was changed.',
      );
    return patch as Operation[];
  };
