<script lang="ts">
  /** The pictures fitted to a budget: what they weigh, how like the original they are, and the work of making them. */
  import { onMount } from 'svelte';
  import * as client from '../api/client';
  import type { Job, Weights } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Field from '../parts/Field.svelte';

  let { bench, changed }: { bench: Bench; changed: () => void } = $props();

  let weights = $state.raw<Weights | null>(null);
  let job = $state.raw<Job | null>(null);
  const open = $derived(job !== null && ['waiting', 'running', 'stopping'].includes(job.state));
  const budget = $derived({ phone: 180, desktop: 350, ...bench.site?.budget });
  const kB = (bytes: number) => `${Math.round(bytes / 1000)} kB`;

  async function look(): Promise<void> {
    try {
      weights = await client.weights();
      const newest = (await client.work())[0] ?? null;
      const ended = open && newest && !['waiting', 'running', 'stopping'].includes(newest.state);
      job = newest;
      if (ended) changed();
    } catch (error) {
      bench.tell(error);
    }
  }

  $effect(() => {
    if (bench.state) void look();
  });

  onMount(() => {
    const timer = setInterval(() => open && void look(), 600);
    return () => clearInterval(timer);
  });

  async function fit(): Promise<void> {
    try {
      job = await client.askWork();
    } catch (error) {
      bench.tell(error);
    }
  }

  const keep = (side: 'phone' | 'desktop', text: string) =>
    bench.keep(
      [{ op: 'add', path: '/budget', value: { ...budget, [side]: Math.round(Number.parseFloat(text)) } }],
      `Budget ${text} kB`,
    );
</script>

<section aria-labelledby="weights" class="flex flex-col gap-2">
  <h2 id="weights" class="display-face text-[18px]">What pictures weigh</h2>
  <p>Each is encoded as AVIF, WebP and JPEG at the best quality that fits its budget.</p>
  <div class="grid grid-cols-2 gap-3">
    <Field label="On the phone, kB" value={String(budget.phone)} keep={(text) => keep('phone', text)} />
    <Field
      label="On wider screens, kB"
      value={String(budget.desktop)}
      keep={(text) => keep('desktop', text)}
    />
  </div>
  {#if open && job}
    <div class="flex items-center gap-2 text-[13px]">
      <progress
        class="progress progress-primary flex-1"
        aria-label="Fitting the pictures"
        max={Math.max(1, job.total)}
        value={job.done}
      ></progress>
      <span class="whitespace-nowrap">{job.done} of {job.total}</span>
      <button
        type="button"
        class="quiet act"
        disabled={job.state === 'stopping'}
        onclick={() => job && void client.stopWork(job.id).then((j) => (job = j))}>Stop</button
      >
    </div>
    <p class="muted truncate text-[12.5px]">{job.message}</p>
  {:else if weights && weights.missing > 0}
    <p>
      <button type="button" class="btn btn-primary h-[30px] min-h-0" onclick={() => void fit()}
        >Fit {weights.missing} files</button
      >
      <span class="muted text-[13px]">Until then the bundle has WebP alone.</span>
    </p>
    {#if job && (job.state === 'stopped' || job.state === 'failed')}<p class="text-[13px]">
        {job.message}
      </p>{/if}
  {:else if weights}
    <p class="text-success">All files are fitted; the bundle has them.</p>
  {/if}
  {#if weights && weights.rows.length > 0}
    <table class="w-full text-[13px]">
      <thead
        ><tr class="muted text-left"
          ><th class="font-normal">picture</th><th class="font-normal">px</th><th class="font-normal"
            >lightest</th
          ><th class="font-normal">SSIM</th></tr
        ></thead
      >
      <tbody>
        {#each weights.rows as row (row.asset + row.width + row.height)}
          {@const first = row.files.toSorted((a, b) => a.bytes - b.bytes)[0]}
          <tr
            class="border-t border-base-300"
            title={row.files
              .map((f) => `${f.kind} ${kB(f.bytes)}, quality ${f.quality}, SSIM ${f.ssim}`)
              .join('; ')}
          >
            <td class="max-w-0 truncate py-0.5">{row.name}</td>
            <td class="w-14">{row.width}</td>
            <td class="w-24 whitespace-nowrap" class:over={first && !first.fits}
              >{first ? `${kB(first.bytes)} ${first.kind}` : `of ${kB(row.budget)}`}{first && !first.fits
                ? ' (over)'
                : ''}</td
            >
            <td class="w-14">{first ? first.ssim.toFixed(3) : ''}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  .over {
    color: var(--color-warning);
    font-weight: 600;
  }
</style>
