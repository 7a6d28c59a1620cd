<script lang="ts">
  /** The whole picture with the spot that is to stay in sight; dragged, clicked or nudged with the arrow keys. */
  import type { Problem, ScreenWindow } from '../api/types';
  import { pull } from '../parts/pull';
  import { useBench } from '../state/context';
  import { Hand } from '../state/hand.svelte';

  type Spot = [number, number];
  type Props = {
    picture: string;
    proportion: number;
    value: Spot;
    windows?: ScreenWindow[];
    show: (spot: Spot) => void;
    keep: (spot: Spot) => Promise<Problem | null> | void;
  };
  let { picture, proportion, value, windows = [], show, keep }: Props = $props();

  const hand = new Hand<Spot>(useBench().edits);
  const spot = $derived(hand.value ?? value);
  const percent = (v: number) => Math.round(v * 100);
  const HEIGHT = 112;
  const width = $derived(Math.min(168, HEIGHT * proportion));

  const held = (v: number) => Math.round(Math.min(1, Math.max(0, v)) * 1000) / 1000;
  const way = () => ({ show, keep });
  const pulling = pull({
    move: ({ x, y }) => hand.show([held(x), held(y)], way()),
    end: ({ x, y }) => {
      hand.show([held(x), held(y)], way());
      void hand.settle();
    },
    cancel: () => hand.drop(),
    nudge: (right, down) => hand.nudge([held(spot[0] + right / 100), held(spot[1] + down / 100)], way()),
  });
</script>

<div
  class="pad"
  role="slider"
  tabindex="0"
  aria-label="Focal point"
  aria-valuenow={percent(spot[0])}
  aria-valuetext="{percent(spot[0])} % across, {percent(spot[1])} % down"
  title="The spot that stays in sight: drag it, or use the arrow keys"
  style:width="min({width}px, 100%)"
  style:aspect-ratio={proportion}
  style:background-image="url({picture})"
  {@attach pulling}
>
  {#each windows as { screen, name, window: [x, y, w, h] } (screen)}
    <span
      class="window"
      title={name}
      style:left="{x * 100}%"
      style:top="{y * 100}%"
      style:width="{w * 100}%"
      style:height="{h * 100}%"
    ></span>
  {/each}
  <span class="spot" style:left="{spot[0] * 100}%" style:top="{spot[1] * 100}%"></span>
</div>

<style>
  .pad {
    position: relative;
    flex: none;
    background-size: 100% 100%;
    cursor: crosshair;
  }
  .window {
    position: absolute;
    box-sizing: border-box;
    border: 1px solid white;
    outline: 1px solid rgb(38 34 29 / 0.7);
    outline-offset: -2px;
    pointer-events: none;
  }
  .spot {
    position: absolute;
    width: 22px;
    height: 22px;
    margin: -11px;
    border: 2px solid white;
    outline: 1.5px solid #26221d;
    background:
      linear-gradient(white, white) 50% 50% / 2px 8px no-repeat,
      linear-gradient(white, white) 50% 50% / 8px 2px no-repeat;
    transform: rotate(45deg);
    pointer-events: none;
  }
</style>
