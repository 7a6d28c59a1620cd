<script lang="ts">
  /** The crop for a slot, its proportion locked: dragged, grown and nudged; what it costs is said as it moves. */
  import { ofSite } from '../api/site';
  import * as client from '../api/client';
  import type { Asset, CropFacts, Site, Slot, SlotView } from '../api/types';
  import { Latest } from '../state/latest';
  import { placed, type Rect } from '../framing/geometry';
  import { pull } from '../parts/pull';
  import { Hand } from '../state/hand.svelte';
  import { alter } from '../state/target';
  import { useBench } from '../state/context';
  import { smallOf } from '../parts/thumb';

  type Row = SlotView['rows'][number];
  type Props = { slot: Slot; asset: Asset; row: Row };
  let { slot, asset, row }: Props = $props();
  const { doc, edits, notices } = useBench();

  const whole = (crop: Row['crop']): Rect => ({ ...crop });
  const hand = new Hand<Rect>(edits);
  let facts = $state.raw<CropFacts | null>(null);
  let room = $state({ width: 0, height: 0 });
  const asking = new Latest();

  const box = $derived<Rect>(hand.value ? { ...hand.value, ...facts?.crop } : whole(row.crop));
  const sentence = $derived(facts?.sentence ?? row.sentence);
  const soft = $derived((facts?.magnification ?? row.magnification) > 1.005);
  const proportion = $derived(asset.width / asset.height);
  const width = $derived(Math.max(60, Math.min(room.width, room.height * proportion)));
  /** Height of a crop of width 1, in fractions. */
  const share = $derived((proportion * slot.height) / slot.width);

  /** Ask what a crop costs, while it is pulled. */
  function look(next: Rect): void {
    asking.run(async () => {
      try {
        facts = await client.crop(doc.revision, slot.id, asset.id, next);
      } catch (error) {
        notices.tell(error);
      }
    });
  }

  const way = () => {
    const of = { slot: slot.id, asset: asset.id };
    const label = `Cut ${asset.name} for ${slot.name}`;
    return {
      keep: async (crop: Rect) => {
        const change = alter<Site>({}, (site) => ({
          fits: [
            ...(site.fits ?? []).filter((f) => f.slot !== of.slot || f.asset !== of.asset),
            { ...of, crop },
          ],
        }));
        const refused = await edits.keep(change, label);
        facts = null;
        return refused;
      },
    };
  };

  function ask(next: Rect): void {
    hand.show(next, way());
    look(next);
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

  let sheet = $state<HTMLElement>();

  const handle = (grow: boolean) => {
    let from: Rect = { x: 0, y: 0, width: 1, height: 1 };
    let start: [number, number] = [0, 0];
    return pull({
      within: () => sheet ?? null,
      begin: ({ x, y }) => {
        from = box;
        start = [x, y];
      },
      move: ({ x, y }) => {
        const [dx, dy] = [x - start[0], y - start[1]];
        if (!grow) return ask(moved(from, dx, dy));
        const wide = Math.min(1 - from.x, (1 - from.y) / share, Math.max(0.02, from.width + dx));
        ask({ ...from, width: wide, height: wide * share });
      },
      end: (_, was) => {
        if (was) void hand.settle();
      },
      cancel: () => hand.drop(),
      nudge: (right, down) => {
        hand.nudge(moved(box, right / 100, down / 100), way());
        look(box);
      },
    });
  };
  const moving = handle(false);
  const growing = handle(true);

  function key(event: KeyboardEvent): void {
    const grow = { '+': 1, '=': 1, '-': -1 }[event.key];
    if (!grow || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    const next = grown(box, grow * (event.shiftKey ? 0.1 : 0.01));
    hand.nudge(next, way());
    look(next);
  }
</script>

<section aria-label="Crop for {slot.name}" class="flex min-h-0 min-w-0 flex-col gap-2">
  <p role="status" class:soft>{sentence}</p>
  <div class="min-h-0 flex-1" bind:clientWidth={room.width} bind:clientHeight={room.height}>
    <div
      class="sheet"
      bind:this={sheet}
      style:width="{width}px"
      style:height="{width / proportion}px"
      style:background-image={smallOf(asset, true)}
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
        {@attach moving}
        onkeydown={key}
      >
        <span class="corner" role="presentation" {@attach growing}></span>
      </div>
    </div>
  </div>
  <div class="flex items-center gap-3">
    <a
      class="btn btn-primary h-[30px] min-h-0"
      href={ofSite(`/api/slot-file?slot=${slot.id}&asset=${asset.id}`)}
      download>Download {slot.width} × {slot.height} JPEG</a
    >
    <a class="quiet act" href={ofSite(`/api/slot-file?slot=${slot.id}&asset=${asset.id}&kind=png`)} download
      >PNG</a
    >
    {#if !row.cut}<span class="muted">As it would be cut; drag it to keep a crop of your own.</span>{/if}
  </div>
</section>

<style>
  .sheet {
    position: relative;
    overflow: hidden;
    background-size: 100% 100%;
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
