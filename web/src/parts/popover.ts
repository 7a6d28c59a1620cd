const MARGIN = 12;

/** Where something of a width and height opens beside what opens it: below it where there is room, otherwise above. */
export function besideOpener(
  opener: HTMLElement | undefined,
  width: number,
  height: number,
): { left: number; top: number } {
  const box = opener?.getBoundingClientRect() ?? new DOMRect();
  const below = box.bottom + 4;
  const fits = below + height + MARGIN <= window.innerHeight;
  const top = fits ? below : Math.max(MARGIN, box.top - height - 4);
  return { left: Math.max(MARGIN, Math.min(box.left, window.innerWidth - width - MARGIN)), top };
}
