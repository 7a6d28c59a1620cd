<script lang="ts">
  /** The stops of a gradient on a bar that is the gradient: press to add one, drag, arrow keys, Delete. */
  import { tick } from 'svelte';
  import type { Gradient, Problem, Stop } from '../api/types';
  import { pull } from '../parts/pull';
  import { useBench } from '../state/context';
  import { Hand } from '../state/hand.svelte';
  import { gradientImage, movedStop, places, withStop } from './gradient';

  type Props = {
    gradient: Gradient;
    chosen: number;
    choose: (n: number) => void;
    show: (stops: Stop[]) => void;
    keep: (stops: Stop[], label: string) => Promise<Problem | null> | void;
  };
  let { gradient, chosen, choose, show, keep }: Props = $props();

  let bar = $state<HTMLElement>();
  const hand = new Hand<Stop[]>(useBench().edits);
  const stops = $derived(hand.value ?? gradient.stops);
  const at = $derived(places(stops));

  const share = (x: number) => {
    const box = bar?.getBoundingClientRect();
    return box ? Math.min(100, Math.max(0, ((x - box.left) / box.width) * 100)) : 0;
  };

  function add(event: MouseEvent): void {
    if (event.target !== bar) return;
    const made = withStop(gradient.stops, share(event.clientX));
    choose(made.chosen);
    void keep(made.stops, 'add a stop');
  }

  const way = () => ({ show, keep: (moved: Stop[]) => keep(moved, 'move a stop') });

  const handle = (n: number) =>
    pull({
      within: () => bar ?? null,
      begin: () => choose(n),
      move: ({ x }) => hand.show(movedStop(stops, n, Math.min(1, Math.max(0, x)) * 100), way()),
      end: () => void hand.settle(),
      cancel: () => hand.drop(),
      nudge: (right) => {
        if (right === 0) return false;
        hand.nudge(movedStop(stops, n, (at[n] ?? 0) + right), way());
      },
    });

  function remove(event: KeyboardEvent, n: number): void {
    if (event.key !== 'Delete' && event.key !== 'Backspace') return;
    event.preventDefault();
    if (gradient.stops.length <= 2) return;
    choose(Math.max(0, n - 1));
    void keep(
      gradient.stops.filter((_, m) => m !== n),
      'remove a stop',
    );
    // the focus goes to the stop before, not into nothing
    void tick().then(() => bar?.querySelectorAll('button')[Math.max(0, n - 1)]?.focus());
  }
</script>

<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
<div class="bar chequered" bind:this={bar} onclick={add} title="Press between the stops to add one">
  <div class="ink" style:background={gradientImage({ ...gradient, stops }, true)}></div>
  {#each stops as stop, n (n)}
    <button
      type="button"
      class="stop"
      class:chosen={n === chosen}
      style:left="{at[n]}%"
      aria-label="Stop {n + 1}: {stop.colour} at {Math.round(at[n] ?? 0)} %"
      aria-pressed={n === chosen}
      {@attach handle(n)}
      onkeydown={(e) => remove(e, n)}
      onfocus={() => choose(n)}><span style:background={stop.colour}></span></button
    >
  {/each}
</div>

<style>
  .bar {
    position: relative;
    height: 22px;
    margin: 0 8px 12px;
    border: 1px solid var(--color-base-300);
    cursor: copy;
    touch-action: none;
  }
  .ink {
    position: absolute;
    inset: 0;
    pointer-events: none;
  }
  .stop {
    position: absolute;
    top: 8px;
    width: 16px;
    height: 28px;
    margin-left: -8px;
    padding: 10px 2px 4px;
    cursor: ew-resize;
  }
  .stop span {
    display: block;
    width: 12px;
    height: 14px;
    border: 2px solid var(--color-base-100);
    outline: 1px solid var(--color-base-content);
  }
  .stop.chosen span {
    outline: 2px solid var(--color-primary);
  }
</style>
