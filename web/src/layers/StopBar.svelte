<script lang="ts">
  /** The stops of a gradient on a bar that is the gradient: press to add one, drag, arrow keys, Delete. */
  import type { Gradient, Stop } from '../api/types';
  import { gradientImage, movedStop, places, withStop } from './gradient';

  type Props = {
    gradient: Gradient;
    chosen: number;
    choose: (n: number) => void;
    show: (stops: Stop[]) => void;
    keep: (stops: Stop[], label: string) => void;
  };
  let { gradient, chosen, choose, show, keep }: Props = $props();

  let bar = $state<HTMLElement>();
  let dragged = $state<Stop[] | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const stops = $derived(dragged ?? gradient.stops);
  const at = $derived(places(stops));

  const share = (x: number) => {
    const box = bar?.getBoundingClientRect();
    return box ? Math.min(100, Math.max(0, ((x - box.left) / box.width) * 100)) : 0;
  };

  function add(event: MouseEvent): void {
    if (event.target !== bar) return;
    const made = withStop(gradient.stops, share(event.clientX));
    choose(made.chosen);
    keep(made.stops, 'add a stop');
  }

  function down(event: PointerEvent & { currentTarget: HTMLElement }, n: number): void {
    event.currentTarget.setPointerCapture(event.pointerId);
    choose(n);
    dragged = [...gradient.stops];
  }

  function move(event: PointerEvent, n: number): void {
    if (!dragged || event.buttons === 0) return;
    dragged = movedStop(dragged, n, share(event.clientX));
    show(dragged);
  }

  function up(): void {
    const done = dragged;
    dragged = null;
    if (done && JSON.stringify(done) !== JSON.stringify(gradient.stops)) keep(done, 'move a stop');
  }

  function key(event: KeyboardEvent, n: number): void {
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      if (gradient.stops.length > 2) {
        choose(Math.max(0, n - 1));
        keep(
          gradient.stops.filter((_, m) => m !== n),
          'remove a stop',
        );
      }
      return;
    }
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (!by) return;
    event.preventDefault();
    const moved = movedStop(stops, n, (at[n] ?? 0) + by * (event.shiftKey ? 10 : 1));
    dragged = moved;
    show(moved);
    clearTimeout(timer);
    timer = setTimeout(up, 450);
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
      onpointerdown={(e) => down(e, n)}
      onpointermove={(e) => move(e, n)}
      onpointerup={up}
      onkeydown={(e) => key(e, n)}
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
