<script lang="ts">
  /** The worst reading over every width, with what is required drawn in; drag along it and the page follows. */
  import { ofSite } from '../api/site';
  import * as client from '../api/client';
  import Progress from '../parts/Progress.svelte';
  import RunLine from '../parts/RunLine.svelte';
  import { apply } from '../bench/frame';
  import { useBench } from '../state/context';

  const { findings, selection } = useBench();

  const [FIRST, LAST] = [320, 2560];
  const run = $derived(
    findings.runNow ?? (findings.run.found?.page === selection.page?.id ? findings.run.found?.value : null),
  );
  let at = $state<number | null>(null);
  let width = $state(0);
  let frame = $state<HTMLIFrameElement>();
  const page = $derived(selection.page?.id ?? '');
  const plot = $derived(Math.max(200, width));

  const breaks = $derived(
    (run?.points ?? []).filter((p, n, all) => n > 0 && all[n - 1]?.lines !== p.lines).map((p) => p.width),
  );
  /** Where verdicts change, and where words begin to fit or cease to, from narrow to wide. */
  const said = $derived([...(run?.changes ?? []), ...(run?.fit ?? [])].toSorted((a, b) => a.width - b.width));
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
    <RunLine
      label="Width of the page"
      text={(px) => `${px} px${near ? `, the worst reading is ${near.shown} of ${near.required}` : ''}`}
      from={FIRST}
      to={LAST}
      log
      points={(run?.points ?? []).map((p) => ({ at: p.width, share: p.ratio / p.required }))}
      regions={(run?.screens ?? []).map((s) => ({ id: s.screen, name: s.name, from: s.least, to: s.most }))}
      marks={(run?.changes ?? []).map((c) => ({ at: c.width, good: !c.short, said: c.sentence }))}
      misfits={(run?.fit ?? []).map((f) => ({ at: f.width, good: !f.begins, said: f.sentence }))}
      ticks={[320, 390, 600, 820, 1024, 1440, 1920, 2560]}
      {breaks}
      value={at}
      first={390}
      choose={(px) => (at = px)}
    />
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
        {#each said as change (change.sentence)}
          <li>
            <button type="button" class="change" onclick={() => (at = change.width)}>{change.sentence}</button
            >
          </li>
        {/each}
      </ul>
      {#if run && said.length === 0}<p class="muted">No width at which a verdict changes.</p>{/if}
    </div>
    {#if at !== null}
      {@const scale = Math.min(1, (plot - 344) / at)}
      <div class="page" style:width="{at * scale}px">
        <iframe
          sandbox="allow-same-origin allow-scripts"
          bind:this={frame}
          onload={() => void loaded()}
          src={ofSite(`/live/${page}`)}
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
