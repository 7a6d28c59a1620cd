/** What moves by itself on a page of the bench: held at a time, for as long as the bench shows the page. */

const HELD = '.gf-layer > .gf-layer { animation-play-state: paused !important; }';
const THERE = ':is(.gf-words, img.gf-picture) { animation: none !important; }';

/** The id of the layer that an element is. */
function layerAt(element: Element | null | undefined): string | null {
  const name = [...(element?.classList ?? [])].find((one) => one !== 'gf-layer');
  return name?.slice(3).replace(/_$/, '') ?? null;
}

/** The layer whose member an animation moves. */
function layerOf(animation: Animation): string | null {
  if (!/^gf-(turn|fetch)-/.test((animation as Partial<CSSAnimation>).animationName ?? '')) return null;
  return layerAt((animation.effect as KeyframeEffect | null)?.target?.parentElement);
}

/** When the films of a page stand: their own time, s, and pictures in a second; null: not begun, the still is there. */
export type Films = Record<string, { time: number; rate: number; count: number } | null>;

const AWAY = 0.3;

/** Show a film's picture at its time, or let it run on from there. The frame of a time is sought in its middle. */
function showFilm(film: HTMLVideoElement, at: Films[string], playing: boolean): void {
  film.style.visibility = at ? '' : 'hidden';
  // one that is held on its last picture would begin anew by itself
  film.loop = playing;
  if (!at) return film.pause();
  const { time, rate, count } = at;
  const period = count / rate;
  const own = ((time % period) + period) % period;
  const off = Math.abs(film.currentTime - own);
  if (playing) {
    if (film.paused) void film.play().catch(() => {});
    if (Math.min(off, period - off) > AWAY && !film.seeking) film.currentTime = own;
    return;
  }
  film.pause();
  const middle = (Math.floor(own * rate + 1e-6) + 0.5) / rate;
  if (Math.abs(film.currentTime - middle) > 1e-3) film.currentTime = middle;
}

/** Let the page's own control stop and start its films: in our frames no script of the page runs that would. */
export function obeyStop(page: Document): void {
  page.addEventListener('change', ({ target }) => {
    if (!(target as Element).matches('input.gf-stop-box')) return;
    for (const film of page.querySelectorAll<HTMLVideoElement>('.gf-layer > video'))
      if ((target as HTMLInputElement).checked) film.pause();
      else void film.play().catch(() => {});
  });
}

/** Bring the films of a page to their times. */
export function holdFilms(page: Document, films: Films, playing: boolean): void {
  for (const film of page.querySelectorAll<HTMLVideoElement>('.gf-layer > video')) {
    showFilm(film, films[layerAt(film.parentElement) ?? ''] ?? null, playing);
  }
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
