type Varying = { screens?: Record<string, object> };

/** A layer, band or block as it is on a screen (null: everywhere). */
export function on<T extends Varying>(item: T, screen: string | null): T {
  const own = screen ? item.screens?.[screen] : undefined;
  if (!own) return item;
  const given = Object.fromEntries(Object.entries(own).filter(([, value]) => value !== null));
  if ('focal' in given && !('position' in given)) return { ...item, ...given, position: null };
  return { ...item, ...given };
}

/** The screens on which a field differs. */
export function differing(item: Varying, fields: string[]): string[] {
  return Object.entries(item.screens ?? {})
    .filter(([, own]) => fields.some((f) => ((own as Record<string, unknown>)[f] ?? null) !== null))
    .map(([screen]) => screen);
}
