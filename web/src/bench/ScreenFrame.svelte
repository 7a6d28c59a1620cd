<script lang="ts">
  import { ofSite } from '../api/site';
  import type { Reading, Screen } from '../api/types';
  import { ScreenDrag } from './drag';
  import { dragOf, heldOf } from '../layers/drag';
  import { apply, elementOf, idsAt } from './frame';
  import { footageOf, isFilm, isSequence, memberAt } from '../layers/members';
  import { hold, holdFilms } from './moving';
  import { letterAt, mark, outline } from './marks';
  import { useBench } from '../state/context';
  import VeilFilter from '../eyes/VeilFilter.svelte';

  type Props = { screen: Screen; scale: number; height: number };
  let { screen, scale, height }: Props = $props();
  const bench = useBench();
  const { eyedropper, eyes, findings, movement, place, selection, sight } = bench;

  let frame = $state<HTMLIFrameElement>();
  let page = $state.raw<Document | null>(null);
  let flashing = $state(false);
  /** Where the pointer rests: in px of the screen's window, and of its page. */
  let pointer = $state.raw<{ x: number; y: number; down: number; across: number } | null>(null);
  const here = $derived(
    sight.situation
      ? findings.met.filter((r) => r.screen === screen.id)
      : findings.short.filter(
          (r) => r.screen === screen.id && !r.missing && r.pointed === sight.pointed && there(r),
        ),
  );
  /** The letter that is pointed at, where it falls short: also when that is only found under a pointer that rests. */
  const tip = $derived.by(() => {
    const found = pointer && sight.marked ? letterAt(here, pointer.across, pointer.down) : null;
    return found && pointer && { x: pointer.x * scale, y: pointer.y * scale, found };
  });
  const sequences = $derived(selection.areas.flatMap((a) => (a.backdrop.layers ?? []).filter(isSequence)));
  const films = $derived(selection.areas.flatMap((a) => (a.backdrop.layers ?? []).filter(isFilm)));
  const members = $derived(
    sequences.map((layer) => ({ layer, now: memberAt(layer, movement.timeOf(layer.id)) })),
  );
  /** Whether a reading is of those members that the screen shows now. */
  const there = (reading: Reading) =>
    !films.some((film) => movement.begun(film.id) || film.id in reading.phases) &&
    members.every(({ layer, now }) => now === memberAt(layer, reading.phases[layer.id] ?? 0));
  /** What lies before it; the screen as it was before a change is seen through the same eyes. */
  const veil = $derived(eyes.veil(screen.id));
  const grab = $derived(dragOf(heldOf(bench)) !== undefined);

  function listen(inner: Document): void {
    const drag = new ScreenDrag(bench, screen);
    let dragged = false;
    inner.addEventListener('click', (event) => {
      event.preventDefault();
      if (eyedropper.taker) {
        const { scrollX, scrollY } = inner.defaultView ?? { scrollX: 0, scrollY: 0 };
        void eyedropper.take(screen.id, event.clientX + scrollX, event.clientY + scrollY);
        return;
      }
      if (!dragged) selection.chooseClicked(idsAt(event.target));
      dragged = false;
    });
    inner.addEventListener('dragstart', (event) => event.preventDefault());
    inner.addEventListener('pointerdown', (event) => {
      // a press on a screen is a press outside of what is open
      if (!eyedropper.taker) place.panel = '';
      drag.down(event);
      if (event.target instanceof inner.defaultView!.Element) event.target.setPointerCapture(event.pointerId);
    });
    inner.addEventListener('pointermove', (event) => {
      drag.move(event, scale);
      point(inner, event);
    });
    inner.addEventListener('pointerleave', () => (pointer = null));
    inner.addEventListener('pointerup', () => (dragged = drag.up()));
    inner.addEventListener('pointercancel', () => drag.cancel());
    for (const name of ['keydown', 'keyup'])
      inner.addEventListener(name, (event) => {
        if ((event as KeyboardEvent).key === 'Escape' && drag.active) return drag.cancel();
        window.dispatchEvent(new KeyboardEvent(name, event as KeyboardEvent));
      });
  }

  /** Remember where the pointer rests, so that the ground of the letter beneath it can be told. */
  function point(inner: Document, event: PointerEvent): void {
    const { scrollX, scrollY } = inner.defaultView ?? { scrollX: 0, scrollY: 0 };
    const [x, y] = [event.clientX, event.clientY];
    pointer = { x, y, across: x + scrollX, down: y + scrollY };
  }

  function loaded(): void {
    const inner = frame?.contentDocument ?? null;
    if (!inner?.body.classList.contains('gf-page')) {
      inner?.body.replaceChildren();
      return;
    }
    page = inner;
    listen(inner);
  }

  $effect(() => {
    if (!page || !sight.live) return;
    apply(page, sight.live);
    if (!sight.situation?.scroll) return;
    const way = page.documentElement.scrollHeight - screen.height;
    page.defaultView?.scrollTo(0, sight.situation.scroll * Math.max(0, way));
  });

  $effect(() => {
    if (!page || !sight.live) return;
    const own = sight.situation?.phases ?? {};
    const timeOf = (layer: string) => own[layer] ?? movement.timeOf(layer);
    hold(page, timeOf, movement.arriving);
    const stand = films.map((film) => {
      const begun = film.id in own || (!sight.situation && movement.begun(film.id));
      return [film.id, begun ? { time: timeOf(film.id), ...footageOf(film) } : null] as const;
    });
    holdFilms(page, Object.fromEntries(stand), movement.playing);
  });

  $effect(() => {
    if (!page) return;
    const seen = sight.marked && !sight.holding;
    mark(page, seen ? here : [], seen ? findings.misfits(screen.id) : [], scale);
  });

  $effect(() => {
    if (!page) return;
    // what can be pulled is not scrolled with a finger
    page.documentElement.style.touchAction = grab ? 'none' : '';
    page.documentElement.style.userSelect = grab ? 'none' : '';
    page.documentElement.style.cursor = eyedropper.taker ? 'crosshair' : grab ? 'move' : '';
  });

  $effect(() => {
    if (selection.flash === 0) return;
    flashing = true;
    const timer = setTimeout(() => (flashing = false), 1400);
    return () => clearTimeout(timer);
  });

  $effect(() => {
    if (!page || !selection.area || !sight.live) return;
    const { area } = selection;
    const { marked, spaces } = sight;
    const [inner, flash, size] = [page, flashing, scale];
    const frame = requestAnimationFrame(() => {
      const element = marked ? elementOf(inner, area.id, area.kind === 'page') : null;
      outline(inner, { element, flash, spaces }, size);
    });
    return () => cancelAnimationFrame(frame);
  });
</script>

<div class="frame" style:height="{height}px">
  {#if veil}<VeilFilter id="veil-{screen.id}" {veil} />{/if}
  <iframe
    sandbox="allow-same-origin allow-scripts"
    bind:this={frame}
    onload={loaded}
    title="{selection.page?.title} on {screen.name.toLowerCase()}"
    src={ofSite(`/live/${selection.page?.id}`)}
    style:width="{screen.width}px"
    style:height="{screen.height}px"
    style:transform="scale({scale})"
    style:filter={veil ? `url("#veil-${screen.id}")` : undefined}
  ></iframe>
  {#if tip}
    {@const { letter, reading } = tip.found}
    <p
      class="tip"
      style:left="{Math.min(tip.x, Math.max(0, screen.width * scale - 190))}px"
      style:top="{tip.y + 16}px"
      role="status"
    >
      <span class="ground" style:background={letter.ground}></span>
      {letter.character} on {letter.ground}: <b>{(Math.floor(letter.ratio * 10) / 10).toFixed(1)}</b> of {reading.required}
    </p>
  {/if}
</div>

<style>
  .frame {
    position: relative;
    overflow: hidden;
    background: var(--color-base-100);
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 26%, transparent);
  }
  .tip {
    position: absolute;
    z-index: 1;
    display: flex;
    align-items: center;
    gap: 5px;
    max-width: 100%;
    padding: 2px 8px;
    white-space: nowrap;
    font-size: var(--text-small);
    pointer-events: none;
    color: var(--color-base-content);
    background: var(--color-base-100);
    border: 1px solid var(--color-warning);
  }
  .ground {
    width: 14px;
    height: 14px;
    border: 1px solid var(--color-base-content);
  }
  iframe {
    border: 0;
    transform-origin: 0 0;
    background: white;
  }
</style>
