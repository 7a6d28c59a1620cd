import type { PlacingRule } from '../api/types';

/** A rule about pages, of what is chosen: `kind NAME` or `page ID`. */
export function aboutPages(kind: 'on' | 'not-on', chosen: string): PlacingRule {
  const [sort, ...rest] = chosen.split(' ');
  const name = rest.join(' ');
  return { kind, kinds: sort === 'kind' ? [name] : [], pages: sort === 'page' ? [name] : [] };
}

/** What a rule about pages is about, where that is one choice; null: it is another rule, or about several. */
export function chosenPages(rule: PlacingRule | undefined): { kind: 'on' | 'not-on'; chosen: string } | null {
  if (rule?.kind !== 'on' && rule?.kind !== 'not-on') return null;
  const all = [...(rule.kinds ?? []).map((k) => `kind ${k}`), ...(rule.pages ?? []).map((p) => `page ${p}`)];
  return all.length === 1 ? { kind: rule.kind, chosen: all[0] ?? '' } : null;
}
