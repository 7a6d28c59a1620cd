<script lang="ts">
  /** The crop for a slot, its proportion locked: dragged, grown and nudged; what it costs is said as it moves. */
  import * as client from '../api/client';
  import type { Asset, CropFacts, Slot, SlotView } from '../api/types';
  import { Latest } from '../bench/latest';
  import type { Bench } from '../bench/bench.svelte';
  import { placed, spotIn, type Rect, type Spot } from '../framing/geometry';

  type Row = SlotView['rows'][number];
  type Props = { bench: Bench; slot: Slot; asset: Asset; row: Row };
  let { bench, slot, asset, row }: Props = $props();

  const whole = (crop: Row['crop']): Rect => ({ ...crop });
  let pulled = $state.raw<Rect | null>(null);
  let facts = $state.raw<CropFacts | null>(null);
  let room = $state({ width: 0, height: 0 });
  let timer: ReturnType<typeof setTimeout> | undefined;
  const asking = new Latest();

  const box = $derived<Rect>(pulled ? { ...pulled, ...facts?.crop } : whole(row.crop));
  const sentence = $derived(facts?.sentence ?? row.sentence);
  const soft = $derived((facts?.magnification ?? row.magnification) > 1.005);
  const proportion = $derived(asset.width / asset.height);
  const width = $derived(Math.max(60, Math.min(room.width, room.height * proportion)));
  /** Height of a crop of width 1, in fractions. */
  const share = $derived((proportion * slot.height) / slot.width);

  function ask(next: Rect): void {
    pulled = next;
    asking.run(async () => {
      try {
        facts = await client.crop(bench.state?.revision ?? 0, slot.id, asset.id, next);
      } catch (error) {
        bench.tell(error);
      }
    });
  }

  async function settle(): Promise<void> {
    clearTimeout(timer);
    if (!pulled) return;
    const crop = facts?.crop ?? pulled;
    const fits = (bench.site?.fits ?? []).filter((f) => f.slot !== slot.id || f.asset !== asset.id);
    const value = [...fits, { slot: slot.id, asset: asset.id, crop }];
    await bench.keep([{ op: 'add', path: '/fits', value }], `Cut ${asset.name} for ${slot.name}`);
    pulled = null;
    facts = null;
  }

  const moved = (from: Rect, dx: number, dy: number): Rect => ({
    ...from,
    x: Math.min(1 - from.width, Math.max(0, from.x + dx)),
    y: Math.min(1 - from.height, Math.max(0, from.y + dy)),
  });

  /** Grow or shrink around the middle, inside the picture, its proportion kept. */
  function grown(from: Rect, by: number): Rect {
    const most = Math.min(1, 1 / share);
    const wide = Math.min(most, Math.max(0.02, from.width + by));
    const high = wide * share;
    const next = {
      x: from.x + (from.width - wide) / 2,
      y: from.y + (from.height - high) / 2,
      width: wide,
      height: high,
    };
    return moved(next, 0, 0);
  }

  function pull(event: PointerEvent & { currentTarget: HTMLElement }, grow: boolean): void {
    const sheet = event.currentTarget.closest('.sheet');
    if (!sheet || event.button !== 0) return;
    event.stopPropagation();
    const target = event.currentTarget;
    target.setPointerCapture(event.pointerId);
    const start: Spot = spotIn(event, sheet);
    const from = box;
    target.onpointermove = (e) => {
      const at = spotIn(e, sheet);
      const [dx, dy] = [at[0] - start[0], at[1] - start[1]];
      if (!grow) return ask(moved(from, dx, dy));
      const wide = Math.min(1 - from.x, (1 - from.y) / share, Math.max(0.02, from.width + dx));
      ask({ ...from, width: wide, height: wide * share });
    };
    target.onpointerup = () => {
      target.onpointermove = target.onpointerup = null;
      asking.run(settle);
    };
  }

  function key(event: KeyboardEvent): void {
    const step = event.shiftKey ? 0.1 : 0.01;
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    const grow = { '+': 1, '=': 1, '-': -1 }[event.key];
    if (!way && !grow) return;
    event.preventDefault();
    ask(way ? moved(box, (way[0] ?? 0) * step, (way[1] ?? 0) * step) : grown(box, (grow ?? 0) * step));
    clearTimeout(timer);
    timer = setTimeout(() => asking.run(settle), 450);
  }
</script>

<section aria-label="Crop for {slot.name}" class="flex min-h-0 min-w-0 flex-col gap-2">
  <p role="status" class:soft>{sentence}</p>
  <div class="min-h-0 flex-1" bind:clientWidth={room.width} bind:clientHeight={room.height}>
    <div
      class="sheet"
      style:width="{width}px"
      style:height="{width / proportion}px"
      style:background-image="url(/thumbs/{asset.hash.slice(0, 10)}?large)"
    >
      <div
        class="crop"
        role="slider"
        tabindex="0"
        aria-label="Crop of {asset.name}"
        aria-valuenow={Math.round(box.width * 100)}
        aria-valuetext="{Math.round(box.x * 100)} % from the left, {Math.round(
          box.y * 100,
        )} % from the top, {Math.round(box.width * 100)} % wide"
        title="Drag to move; the corner, + and - to grow; arrow keys to nudge"
        style={placed(box)}
        onpointerdown={(e) => pull(e, false)}
        onkeydown={key}
      >
        <span class="corner" role="presentation" onpointerdown={(e) => pull(e, true)}></span>
      </div>
    </div>
  </div>
  <div class="flex items-center gap-3">
    <a class="btn btn-primary h-[30px] min-h-0" href="/api/slot-file?slot={slot.id}&asset={asset.id}" download
      >Download {slot.width} × {slot.height} JPEG</a
    >
    <a class="quiet act" href="/api/slot-file?slot={slot.id}&asset={asset.id}&kind=png" download>PNG</a>
    {#if !row.cut}<span class="muted">As it would be cut; drag it to keep a crop of your own.</span>{/if}
  </div>
</section>

<style>
  .sheet {
    position: relative;
    overflow: hidden;
    background-size: 100% 100%;
    touch-action: none;
  }
  .crop {
    position: absolute;
    box-sizing: border-box;
    border: 2px solid white;
    box-shadow: 0 0 0 3000px rgb(38 34 29 / 0.55);
    cursor: move;
  }
  .corner {
    position: absolute;
    right: -2px;
    bottom: -2px;
    width: 22px;
    height: 22px;
    background: linear-gradient(135deg, transparent 50%, white 50%);
    cursor: nwse-resize;
  }
  .soft {
    color: var(--color-warning);
    font-weight: 600;
  }
</style>
