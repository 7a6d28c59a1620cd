export type Rect = { x: number; y: number; width: number; height: number };
export type Spot = [number, number];

export const held = (value: number, least = 0, most = 1): number => Math.min(most, Math.max(least, value));
export const rounded = (value: number): number => Math.round(value * 10_000) / 10_000;

/** Where the pointer is in an element, in fractions of its size. */
export function spotIn(event: PointerEvent, element: Element): Spot {
  const box = element.getBoundingClientRect();
  return [held((event.clientX - box.left) / box.width), held((event.clientY - box.top) / box.height)];
}

/** The box between two spots. */
export function between(one: Spot, other: Spot): Rect {
  const x = rounded(Math.min(one[0], other[0]));
  const y = rounded(Math.min(one[1], other[1]));
  return {
    x,
    y,
    width: Math.min(1 - x, Math.max(0.001, rounded(Math.abs(one[0] - other[0])))),
    height: Math.min(1 - y, Math.max(0.001, rounded(Math.abs(one[1] - other[1])))),
  };
}

/** A box as CSS. */
export function placed({ x, y, width, height }: Rect): string {
  return `left:${x * 100}%;top:${y * 100}%;width:${width * 100}%;height:${height * 100}%`;
}

/** The focal point with which a window of this size begins at a place, along one axis. */
export function focalAt(start: number, size: number, origin: number, whole: number): number {
  const free = whole - size;
  return free < 1e-4 ? 0.5 : held((start - origin) / free);
}
