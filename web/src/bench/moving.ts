/** What moves by itself on a page of the bench: held at a time, for as long as the bench shows the page. */

const HELD = '.gf-layer > .gf-layer { animation-play-state: paused !important; }';
const THERE = ':is(.gf-words, img.gf-picture) { animation: none !important; }';

/** The layer whose member an animation moves. */
function layerOf(animation: Animation): string | null {
  if (!/^gf-(turn|fetch)-/.test((animation as Partial<CSSAnimation>).animationName ?? '')) return null;
  const group = (animation.effect as KeyframeEffect | null)?.target?.parentElement;
  const name = [...(group?.classList ?? [])].find((one) => one !== 'gf-layer');
  return name?.slice(3) ?? null;
}

/** Bring all that moves on a page to its time, s, by the layers' ids; a sheet holds it there, so that the page's own
 * control goes on working when the sheet is gone. */
export function hold(page: Document, time: (layer: string) => number, arriving: boolean): void {
  const sheet = page.getElementById('gf-frozen');
  const text = arriving ? HELD : `${HELD}\n${THERE}`;
  if (sheet && sheet.textContent !== text) sheet.textContent = text;
  for (const animation of page.getAnimations()) {
    const layer = layerOf(animation);
    const timing = animation.effect?.getTiming();
    if (layer === null || !timing) continue;
    const delay = timing.delay ?? 0;
    // below 0 is the time before an animation begins, even where its delay is negative
    const before = delay < 0 ? Number(timing.duration) : 0;
    const at = time(layer) * 1000 + delay + before;
    if (animation.currentTime !== at) animation.currentTime = at;
  }
}
