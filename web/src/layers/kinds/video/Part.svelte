<script lang="ts">
  /** The whole film in small pictures: the part that is shown, and the moment that stands for it, are pulled there. */
  import type { Asset, VideoLayer } from '../../../api/types';
  import { pull } from '../../../parts/pull';
  import { useBench } from '../../../state/context';
  import { Hand } from '../../../state/hand.svelte';
  import { layerEditor } from '../../change';
  import { second } from '../../members';

  let { layer, asset }: { layer: VideoLayer; asset: Asset } = $props();
  const { edits, movement, sight } = useBench();
  const to = layerEditor(() => layer);

  const LEAST = 0.2;
  const MOST = 60;
  type Values = { start?: number; end?: number; still?: number };
  const hand = new Hand<Values>(edits);
  const lasts = $derived(asset.duration ?? 0);
  const start = $derived(layer.start ?? 0);
  const still = $derived(layer.still ?? 0);
  const share = (time: number) => `${(100 * time) / (lasts || 1)}%`;
  const held = (time: number, low: number, high: number) =>
    Math.round(Math.min(high, Math.max(low, time)) * 10) / 10;

  const say = ({ start: from, end, still: moment }: Values) =>
    from !== undefined && end !== undefined
      ? `Show ${second(from)} to ${second(end)}`
      : from !== undefined
        ? `Begin at ${second(from)}`
        : end !== undefined
          ? `End at ${second(end)}`
          : `The still at ${second(moment ?? 0)}`;
  const way = {
    show: (values: Values) => to.show(values),
    keep: (values: Values) => to.keep(values, say(values)),
  };
  const moved: Record<'start' | 'end' | 'still', (time: number) => Values> = {
    start: (time) => ({ start: held(time, Math.max(0, layer.end - MOST), layer.end - LEAST) }),
    end: (time) => ({ end: held(time, start + LEAST, Math.min(lasts, start + MOST)) }),
    still: (time) => ({ still: held(time, 0, lasts) }),
  };

  /** A pull on the strip. What is read when it is made, and not when it is pulled, would attach it anew in the middle. */
  function along(how: {
    begin: (x: number) => void;
    at: (x: number) => Values;
    by: (time: number) => Values;
  }) {
    return pull({
      within: (node) => node.closest('.whole'),
      begin: ({ x }) => how.begin(x),
      move: ({ x }) => hand.show(how.at(x), way),
      end: (_, wasMoved) => {
        if (wasMoved) void hand.settle();
        else hand.drop();
      },
      cancel: () => hand.drop(),
      nudge: (right) => {
        if (right === 0) return false;
        hand.nudge(how.by(right * 0.1), way);
      },
    });
  }

  const grip = (which: 'start' | 'end' | 'still') =>
    along({
      begin: () => {
        if (which !== 'still') return;
        // the still is looked at where it is chosen
        if (sight.situation) sight.meet(null);
        movement.seek(layer.id, 0);
      },
      at: (x) => moved[which](x * lasts),
      by: (time) => moved[which]({ start, end: layer.end, still }[which] + time),
    });

  /** All of the part is moved along. */
  function window() {
    let from = { start: 0, end: 0, x: 0 };
    const moved = (by: number): Values => {
      const long = from.end - from.start;
      const begin = held(from.start + by, 0, lasts - long);
      return { start: begin, end: Math.round((begin + long) * 10) / 10 };
    };
    return along({
      begin: (x) => void (from = { start, end: layer.end, x }),
      at: (x) => moved((x - from.x) * lasts),
      by: (time) => {
        from = { start, end: layer.end, x: 0 };
        return moved(time);
      },
    });
  }
  // these do not change: what is attached to them stays while they are pulled
  const GRIPS = [
    { which: 'start', label: 'Where the part begins' },
    { which: 'end', label: 'Where the part ends' },
  ] as const;
  const placed = $derived({
    start: { at: start, low: 0, high: layer.end },
    end: { at: layer.end, low: start, high: lasts },
  });
</script>

<div class="whole" style:background-image="url(/strips/{asset.hash.slice(0, 10)})">
  <span class="out" style:left="0" style:width={share(start)}></span>
  <span class="out" style:right="0" style:width={share(lasts - layer.end)}></span>
  <span
    class="shown"
    role="slider"
    tabindex="0"
    aria-label="The part that is shown"
    aria-valuemin={0}
    aria-valuemax={lasts}
    aria-valuenow={start}
    aria-valuetext="{second(start)} to {second(layer.end)}"
    title="The part that is shown: {second(start)} to {second(layer.end)} of {second(lasts)}"
    style:left={share(start)}
    style:width={share(layer.end - start)}
    {@attach window()}
  ></span>
  {#each GRIPS as { which, label } (which)}
    {@const { at, low, high } = placed[which]}
    <span
      class="grip {which}"
      role="slider"
      tabindex="0"
      aria-label={label}
      aria-valuemin={low}
      aria-valuemax={high}
      aria-valuenow={at}
      aria-valuetext={second(at)}
      title="{label}: {second(at)}"
      style:left={share(at)}
      {@attach grip(which)}
    ></span>
  {/each}
  <span
    class="still"
    role="slider"
    tabindex="0"
    aria-label="The still"
    aria-valuemin={0}
    aria-valuemax={lasts}
    aria-valuenow={still}
    aria-valuetext={second(still)}
    title="The still: stands there before the film plays, and where it does not ({second(still)})"
    style:left={share(still)}
    {@attach grip('still')}
  ></span>
</div>
{#if hand.problem}<p role="alert" class="text-small text-error">{hand.problem}</p>{/if}

<style>
  .whole {
    position: relative;
    height: 40px;
    margin-bottom: 26px;
    background-size: 100% 100%;
    background-color: color-mix(in oklab, var(--color-base-content) 14%, transparent);
  }
  .out {
    position: absolute;
    inset-block: 0;
    background: color-mix(in oklab, var(--color-base-100) 78%, transparent);
    pointer-events: none;
  }
  .shown {
    position: absolute;
    inset-block: 0;
    cursor: grab;
    box-shadow:
      inset 0 2px 0 var(--color-primary),
      inset 0 -2px 0 var(--color-primary);
  }
  .grip {
    position: absolute;
    inset-block: 0;
    width: 24px;
    cursor: col-resize;
  }
  .start {
    margin-left: -14px;
  }
  .end {
    margin-left: -10px;
  }
  .grip::before {
    content: '';
    position: absolute;
    inset: 0 9px;
    background: var(--color-primary);
    box-shadow: 0 0 0 1px var(--color-base-100);
  }
  .still {
    position: absolute;
    top: 100%;
    width: 24px;
    height: 24px;
    margin-left: -12px;
    cursor: col-resize;
  }
  .still::before {
    content: '';
    position: absolute;
    inset: 2px 7px 8px;
    background: var(--color-base-content);
    clip-path: polygon(50% 0, 100% 45%, 100% 100%, 0 100%, 0 45%);
  }
</style>
