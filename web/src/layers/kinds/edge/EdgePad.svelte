<script lang="ts">
  /** A little area whose edges are chosen, and from which the shade is pulled inwards. */
  import type { EdgeLayer } from '../../../api/types';

  type Values = Record<string, unknown>;
  type Props = {
    layer: EdgeLayer;
    colour: string;
    show: (values: Values) => void;
    keep: (values: Values, label: string) => void;
  };
  let { layer, colour, show, keep }: Props = $props();

  type Edge = NonNullable<EdgeLayer['edges']>[number];
  const EDGES: Edge[] = ['top', 'right', 'bottom', 'left'];
  const INWARDS = { bottom: 'to top', top: 'to bottom', left: 'to right', right: 'to left' };
  let pad = $state<HTMLElement>();
  let pulled = $state<{ edge: Edge; depth: number } | null>(null);
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
    if (next.length > 0) keep({ edges: next, around: false }, next.join(', '));
  }

  function reach(event: PointerEvent, edge: Edge): number {
    const box = pad?.getBoundingClientRect();
    if (!box) return depth;
    const share = {
      top: (event.clientY - box.top) / box.height,
      bottom: (box.bottom - event.clientY) / box.height,
      left: (event.clientX - box.left) / box.width,
      right: (box.right - event.clientX) / box.width,
    }[edge];
    return Math.round(Math.min(1, Math.max(0.02, share)) * 100);
  }

  function down(event: PointerEvent & { currentTarget: HTMLElement }, edge: Edge): void {
    event.currentTarget.setPointerCapture(event.pointerId);
    pulled = { edge, depth: 0 };
  }

  function move(event: PointerEvent): void {
    if (!pulled) return;
    const far = reach(event, pulled.edge);
    if (pulled.depth === 0 && far < 8) return;
    pulled = { ...pulled, depth: far };
    show({ depth: `${far}%` });
  }

  function up(edge: Edge): void {
    const done = pulled;
    pulled = null;
    if (!done || done.depth === 0) return toggle(edge);
    const next = edges.includes(edge) || layer.around ? edges : [...edges, edge];
    keep({ depth: `${done.depth}%`, edges: next }, `${done.depth} % deep`);
  }
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
        title="Press to shade this edge or not; pull inwards for its depth"
        onpointerdown={(e) => down(e, edge)}
        onpointermove={move}
        onpointerup={() => up(edge)}
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
