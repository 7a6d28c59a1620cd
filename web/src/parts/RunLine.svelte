<script lang="ts">
  /**
   * Readings along a way (widths, or time), with what is required drawn in as the middle line: drag along it, or use the
   * arrow keys.
   */
  import { scaleLinear, scaleLog } from 'd3-scale';
  import type { Snippet } from 'svelte';
  import { pull, type Spot } from './pull';

  type Region = { id: string; name: string; from: number; to: number };
  type Mark = { at: number; good: boolean; said: string };
  type Props = {
    label: string;
    /** What a value of the way comes to, in words. */
    text: (value: number) => string;
    from: number;
    to: number;
    log?: boolean;
    high?: number;
    /** Where on the way, and which part of what is required. */
    points: readonly { at: number; share: number }[];
    regions: readonly Region[];
    marks: readonly Mark[];
    /** Where words cease to fit, or do again: ticks below the line. */
    misfits?: readonly Mark[];
    ticks: readonly number[];
    tick?: (value: number) => string;
    breaks?: readonly number[];
    value: number | null;
    /** Where it stands before anything was chosen. */
    first: number;
    /** How far one arrow key goes. */
    step?: number;
    choose: (value: number) => void;
    children?: Snippet<[(value: number) => number]>;
  };
  let {
    label,
    text,
    from,
    to,
    log = false,
    high = 150,
    points,
    regions,
    marks,
    misfits = [],
    ticks,
    tick = String,
    breaks = [],
    value,
    first,
    step = 1,
    choose,
    children,
  }: Props = $props();

  let width = $state(0);
  const plot = $derived(Math.max(200, width));
  const x = $derived((log ? scaleLog : scaleLinear)([from, to], [0, plot]).clamp(true));
  const y = $derived(scaleLog([0.25, 4], [high - 10, 10]).clamp(true));
  const line = $derived(points.map((p) => `${x(p.at).toFixed(1)},${y(p.share).toFixed(1)}`).join(' '));
  const inside = (wanted: number) => Math.min(to, Math.max(from, Math.round(wanted / step) * step));

  const follow = ({ x: share }: Spot) => choose(inside(x.invert(share * plot)));
  const along = pull({
    begin: (spot) => void follow(spot),
    move: follow,
    nudge: (right) => {
      if (right === 0) return false;
      choose(inside((value ?? first) + right * step));
    },
  });
</script>

<div bind:clientWidth={width}>
  <svg
    width={plot}
    height={high + 18}
    role="slider"
    tabindex="0"
    aria-label={label}
    aria-valuemin={from}
    aria-valuemax={to}
    aria-valuenow={value ?? first}
    aria-valuetext={text(value ?? first)}
    {@attach along}
  >
    {#each regions as region, n (region.id)}
      {@const start = x(Math.max(from, region.from))}
      {@const room = Math.max(0, x(Math.min(to, region.to)) - start)}
      <rect x={start} width={room} y="0" height={high} class={n % 2 ? 'odd' : 'even'} />
      {#if room > 7 * region.name.length}<text x={start + 6} y="14" class="name">{region.name}</text>{/if}
    {/each}
    {#each breaks as at (at)}
      <line x1={x(at)} x2={x(at)} y1={high - 7} y2={high} class="break" />
    {/each}
    <line x1="0" x2={plot} y1={high / 2} y2={high / 2} class="need" />
    <polyline points={line} class="line" />
    {#each marks as mark (`${mark.at} ${mark.said}`)}
      <g class={mark.good ? 'text-success' : 'text-warning'} transform="translate({x(mark.at)} {high / 2})">
        <title>{mark.said}</title>
        {#if mark.good}<circle r="4" fill="currentColor" />{:else}<path
            d="M-5-4H5L0 6Z"
            fill="currentColor"
          />{/if}
      </g>
    {/each}
    {#each misfits as mark (`${mark.at} ${mark.said}`)}
      <g class={mark.good ? 'text-success' : 'text-warning'} transform="translate({x(mark.at)} {high - 12})">
        <title>{mark.said}</title>
        <path
          d="M0-5 5 0 0 5-5 0Z"
          fill={mark.good ? 'none' : 'currentColor'}
          stroke="currentColor"
          stroke-width="1.5"
        />
      </g>
    {/each}
    {#each ticks as at (at)}
      <text
        x={x(at)}
        y={high + 14}
        class="scale"
        text-anchor={at === from ? 'start' : at === to ? 'end' : 'middle'}>{tick(at)}</text
      >
    {/each}
    {#if value !== null}<line x1={x(value)} x2={x(value)} y1="0" y2={high} class="at" />{/if}
  </svg>
  {@render children?.((at) => x(at))}
</div>

<style>
  svg {
    display: block;
    cursor: ew-resize;
    font-size: var(--text-small);
  }
  .even {
    fill: color-mix(in oklab, var(--color-base-content) 5%, transparent);
  }
  .odd {
    fill: color-mix(in oklab, var(--color-base-content) 9%, transparent);
  }
  .name,
  .scale {
    fill: color-mix(in oklab, var(--color-base-content) 72%, var(--color-base-200));
  }
  .need {
    stroke: var(--color-neutral);
    stroke-dasharray: 5 4;
  }
  .break {
    stroke: var(--color-base-content);
    opacity: 0.5;
  }
  .line {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 1.6;
  }
  .at {
    stroke: var(--color-primary);
    stroke-width: 2;
  }
</style>
