<script lang="ts">
  /** The worst reading over every width, with what is required drawn in; drag along it and the page follows. */
  import { scaleLog } from 'd3-scale';
  import * as client from '../api/client';
  import Progress from '../parts/Progress.svelte';
  import { pull, type Spot } from '../parts/pull';
  import { apply } from '../bench/frame';
  import { useBench } from '../state/context';

  const { findings, selection } = useBench();

  const [FIRST, LAST] = [320, 2560];
  const HIGH = 150;
  const run = $derived(
    findings.runNow ?? (findings.run.found?.page === selection.page?.id ? findings.run.found?.value : null),
  );
  let at = $state<number | null>(null);
  let width = $state(0);
  let frame = $state<HTMLIFrameElement>();
  const page = $derived(selection.page?.id ?? '');
  const plot = $derived(Math.max(200, width));

  const x = $derived(scaleLog([FIRST, LAST], [0, plot]).clamp(true));
  /** Where a reading stands by its part of what is required; the requirement is the middle line. */
  const y = scaleLog([0.25, 4], [HIGH - 10, 10]).clamp(true);
  const line = $derived(
    (run?.points ?? [])
      .map((p) => `${x(p.width).toFixed(1)},${y(p.ratio / p.required).toFixed(1)}`)
      .join(' '),
  );
  const breaks = $derived(
    (run?.points ?? []).filter((p, n, all) => n > 0 && all[n - 1]?.lines !== p.lines).map((p) => p.width),
  );
  const near = $derived.by(() => {
    const wanted = at;
    if (wanted === null || !run) return null;
    return run.points.reduce((best, p) =>
      Math.abs(p.width - wanted) < Math.abs(best.width - wanted) ? p : best,
    );
  });

  $effect(() => {
    // one after the other: every situation first
    if (!findings.runNow && findings.everyNow && selection.page && !findings.run.stopped)
      void findings.lookAtWidths();
  });

  const follow = ({ x: share }: Spot) => (at = Math.round(x.invert(share * plot)));
  const along = pull({
    begin: (spot) => void follow(spot),
    move: follow,
    nudge: (right) => {
      if (right === 0) return false;
      at = Math.min(LAST, Math.max(FIRST, Math.round((at ?? 390) + right)));
    },
  });

  async function loaded(): Promise<void> {
    const inner = frame?.contentDocument;
    if (!inner) return;
    inner.addEventListener('click', (click) => click.preventDefault());
    apply(inner, await client.live({ ...selection.asked, patch: [], page }));
  }
</script>

<section aria-labelledby="width-run" class="flex flex-col gap-2">
  <h2 id="width-run" class="display-face text-head">Every width</h2>
  <!-- one place for how far it is and for what was found: what stands beneath does not move -->
  <div class="flex min-h-8 items-center max-[900px]:min-h-11">
    {#if findings.run.share !== null}
      <Progress
        label="Reading at every width from {FIRST} to {LAST} px"
        share={findings.run.share}
        doing={findings.run.doing}
        stop={() => findings.run.stop()}
      />
    {:else if !findings.runNow && findings.run.stopped}
      <p class="text-small">
        It was stopped{run ? '; what is shown is from before the last change' : ''}.
        <button type="button" class="quiet act" onclick={() => void findings.lookAtWidths()}
          >Read at every width</button
        >
      </p>
    {:else}
      <p role="status">{run?.sentence ?? ''}</p>
    {/if}
  </div>
  <div bind:clientWidth={width}>
    <svg
      width={plot}
      height={HIGH + 18}
      role="slider"
      tabindex="0"
      aria-label="Width of the page"
      aria-valuemin={FIRST}
      aria-valuemax={LAST}
      aria-valuenow={at ?? 390}
      aria-valuetext="{at ?? 390} px{near ? `, the worst reading is ${near.shown} of ${near.required}` : ''}"
      {@attach along}
    >
      {#each run?.screens ?? [] as screen, n (screen.screen)}
        {@const from = x(Math.max(FIRST, screen.least))}
        <rect
          x={from}
          width={Math.max(0, x(Math.min(LAST, screen.most)) - from)}
          y="0"
          height={HIGH}
          class={n % 2 ? 'odd' : 'even'}
        />
        <text x={from + 6} y="14" class="name">{screen.name}</text>
      {/each}
      {#each breaks as width (width)}
        <line x1={x(width)} x2={x(width)} y1={HIGH - 7} y2={HIGH} class="break" />
      {/each}
      <line x1="0" x2={plot} y1={HIGH / 2} y2={HIGH / 2} class="need" />
      <polyline points={line} class="line" />
      {#each run?.changes ?? [] as change (`${change.width} ${change.block}`)}
        <g
          class={change.short ? 'text-warning' : 'text-success'}
          transform="translate({x(change.width)} {HIGH / 2})"
        >
          <title>{change.sentence}</title>
          {#if change.short}<path d="M-5-4H5L0 6Z" fill="currentColor" />{:else}<circle
              r="4"
              fill="currentColor"
            />{/if}
        </g>
      {/each}
      {#each [320, 390, 600, 820, 1024, 1440, 1920, 2560] as w (w)}
        <text
          x={x(w)}
          y={HIGH + 14}
          class="scale"
          text-anchor={w === FIRST ? 'start' : w === LAST ? 'end' : 'middle'}>{w}</text
        >
      {/each}
      {#if at !== null}<line x1={x(at)} x2={x(at)} y1="0" y2={HIGH} class="at" />{/if}
    </svg>
  </div>
  <div class="flex gap-6">
    <div class="w-[320px] shrink-0">
      {#if near}
        <p class="pb-1">
          <b>{at} px</b>: the worst is
          <b class={near.meets ? 'text-success' : 'text-warning'}>{near.shown}</b> of {near.required}.
        </p>
      {:else}
        <p class="muted pb-1 whitespace-nowrap max-[640px]:whitespace-normal">
          Drag along the line, or use the arrow keys; the page follows.
        </p>
      {/if}
      <ul class="list">
        {#each run?.changes ?? [] as change (`${change.width} ${change.block}`)}
          <li>
            <button type="button" class="change" onclick={() => (at = change.width)}>{change.sentence}</button
            >
          </li>
        {/each}
      </ul>
      {#if run && run.changes.length === 0}<p class="muted">No width at which a verdict changes.</p>{/if}
    </div>
    {#if at !== null}
      {@const scale = Math.min(1, (plot - 344) / at)}
      <div class="page" style:width="{at * scale}px">
        <iframe
          sandbox="allow-same-origin allow-scripts"
          bind:this={frame}
          onload={() => void loaded()}
          src="/live/{page}"
          title="The page at {at} px"
          style:width="{at}px"
          style:height="{360 / scale}px"
          style:transform="scale({scale})"
        ></iframe>
      </div>
    {/if}
  </div>
</section>

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
  .list {
    max-height: 330px;
    overflow-y: auto;
    font-size: var(--text-small);
  }
  .change {
    min-height: 26px;
    text-align: left;
    cursor: pointer;
  }
  .change:hover {
    text-decoration: underline;
  }
  .page {
    height: 360px;
    overflow: hidden;
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 26%, transparent);
  }
  iframe {
    border: 0;
    transform-origin: 0 0;
    background: white;
  }
</style>
