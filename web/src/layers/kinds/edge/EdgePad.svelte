<script lang="ts">
  /** A little area whose edges are chosen, and from which the shade is pulled inwards. */
  import type { EdgeLayer, Problem } from '../../../api/types';
  import { pull, type Spot } from '../../../parts/pull';
  import { useBench } from '../../../state/context';
  import { Hand } from '../../../state/hand.svelte';

  type Values = Record<string, unknown>;
  type Props = {
    layer: EdgeLayer;
    colour: string;
    show: (values: Values) => void;
    keep: (values: Values, label: string) => Promise<Problem | null> | void;
  };
  let { layer, colour, show, keep }: Props = $props();

  type Edge = NonNullable<EdgeLayer['edges']>[number];
  const EDGES: Edge[] = ['top', 'right', 'bottom', 'left'];
  const INWARDS = { bottom: 'to top', top: 'to bottom', left: 'to right', right: 'to left' };
  let pad = $state<HTMLElement>();
  const hand = new Hand<{ edge: Edge; depth: number }>(useBench().edits);
  const edges = $derived(layer.edges ?? ['bottom']);
  const depth = $derived(
    /^[\d.]+%$/.test(layer.depth ?? '40%') ? Number.parseFloat(layer.depth ?? '40') : 30,
  );
  const start = $derived(depth * (1 - (layer.softness ?? 1)));
  const look = $derived(
    layer.around
      ? `radial-gradient(farthest-corner, transparent ${100 - depth}%, ${colour} ${100 - start}%)`
      : edges
          .map((e) => `linear-gradient(${INWARDS[e]}, ${colour} ${start}%, transparent ${depth}%)`)
          .join(', '),
  );

  function toggle(edge: Edge): void {
    const next = edges.includes(edge) ? edges.filter((e) => e !== edge) : [...edges, edge];
    if (next.length > 0) void keep({ edges: next, around: false }, next.join(', '));
  }

  /** How far a spot of the pad is from an edge, in %. */
  function reach({ x, y }: Spot, edge: Edge): number {
    const share = { top: y, bottom: 1 - y, left: x, right: 1 - x }[edge];
    return Math.round(Math.min(1, Math.max(0.02, share)) * 100);
  }

  const way = () => ({
    show: (pulled: { edge: Edge; depth: number }) => show({ depth: `${pulled.depth}%` }),
    keep: ({ edge, depth: far }: { edge: Edge; depth: number }) => {
      const next = edges.includes(edge) || layer.around ? edges : [...edges, edge];
      return keep({ depth: `${far}%`, edges: next }, `${far} % deep`);
    },
  });

  const handle = (edge: Edge) =>
    pull({
      within: () => pad ?? null,
      move: (spot) => hand.show({ edge, depth: reach(spot, edge) }, way()),
      end: (_, moved) => {
        if (moved) void hand.settle();
        else toggle(edge);
      },
      cancel: () => hand.drop(),
      nudge: (right, down) => {
        // inwards is deeper
        const by = { top: down, bottom: -down, left: right, right: -right }[edge];
        if (by === 0) return false;
        hand.nudge(
          { edge, depth: Math.round(Math.min(100, Math.max(2, (hand.value?.depth ?? depth) + by))) },
          way(),
        );
      },
    });
</script>

<div class="flex w-[168px] shrink-0 flex-col gap-1">
  <div class="pad" bind:this={pad}>
    <span class="look" style:background={look}></span>
    {#each EDGES as edge (edge)}
      <button
        type="button"
        class="edge {edge}"
        aria-pressed={!layer.around && edges.includes(edge)}
        aria-label="The {edge} edge"
        title="Press to shade this edge or not; pull inwards, or use the arrow keys, for its depth"
        {@attach handle(edge)}
        onkeydown={(e) => {
          if (e.key === 'Enter' || e.key === ' ') {
            e.preventDefault();
            toggle(edge);
          }
        }}
      ></button>
    {/each}
  </div>
  <label class="flex items-center gap-1.5">
    <input
      type="checkbox"
      class="h-4 w-4"
      checked={layer.around ?? false}
      onchange={(e) =>
        keep({ around: e.currentTarget.checked }, e.currentTarget.checked ? 'all round' : 'edges')}
    /> an oval, all round
  </label>
</div>

<style>
  .pad {
    position: relative;
    height: 104px;
    background: #b9b3a7;
    touch-action: none;
  }
  .look {
    position: absolute;
    inset: 0;
  }
  .edge {
    position: absolute;
    cursor: grab;
    border: 0 dashed var(--color-base-content);
  }
  .edge[aria-pressed='true'] {
    border-style: solid;
    border-color: var(--color-primary);
  }
  .top,
  .bottom {
    left: 28px;
    right: 28px;
    height: 28px;
  }
  .left,
  .right {
    top: 28px;
    bottom: 28px;
    width: 28px;
  }
  .top {
    top: 0;
    border-top-width: 3px;
  }
  .bottom {
    bottom: 0;
    border-bottom-width: 3px;
  }
  .left {
    left: 0;
    border-left-width: 3px;
  }
  .right {
    right: 0;
    border-right-width: 3px;
  }
</style>
