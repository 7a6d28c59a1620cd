<script lang="ts">
  /** The pictures fitted to a budget: what they weigh, how like the original they are, and the work of making them. */
  import { RANGES } from '../api/ranges';
  import { onMount } from 'svelte';
  import * as client from '../api/client';
  import type { Site, Weights } from '../api/types';
  import { within } from '../parts/numbers';
  import NumberField from '../parts/NumberField.svelte';
  import { alter } from '../state/target';
  import { useBench } from '../state/context';
  import { weight } from '../parts/weight';
  import { isFilm } from '../layers/members';
  import { areasOf } from '../state/tree';

  const { doc, edits, notices, work } = useBench();

  let weights = $state.raw<Weights | null>(null);
  const job = $derived(work.job);
  const open = $derived(work.open);
  const budget = $derived({
    phone: 180,
    desktop: 350,
    film_phone: 1500,
    film_desktop: 4000,
    ...doc.site?.budget,
  });
  const films = $derived(
    (doc.site?.pages ?? []).some((p) => areasOf(p).some((a) => (a.backdrop.layers ?? []).some(isFilm))),
  );
  const SIDES = [
    ['phone', 'On the phone', 10],
    ['desktop', 'On wider screens', 10],
  ] as const;
  const FILMS = [
    ['film_phone', 'A film on the phone', 100],
    ['film_desktop', 'A film on wider screens', 100],
  ] as const;

  async function look(): Promise<void> {
    try {
      weights = await client.weights();
    } catch (error) {
      notices.tell(error);
    }
  }

  onMount(() => {
    client
      .work()
      .then(([newest]) => newest && work.take(newest))
      .catch((error: unknown) => notices.tell(error));
  });

  $effect(() => {
    // again after each change of the site, and once work has ended
    if (!doc.state || open) return;
    void look();
  });

  const keep = (side: keyof typeof budget, kilobytes: number) =>
    edits.keep(
      alter<Site>({}, () => ({ budget: { ...budget, [side]: kilobytes } })),
      `Budget ${kilobytes} kB`,
    );
</script>

<section aria-labelledby="weights" class="flex flex-col gap-2">
  <h2 id="weights" class="display-face text-head">What pictures weigh</h2>
  <p>
    Each is encoded as AVIF, WebP and JPEG at the best quality that fits its budget{films
      ? '; films as AV1 and H.264'
      : ''}.
  </p>
  <div class="grid grid-cols-2 gap-3">
    {#each films ? [...SIDES, ...FILMS] : SIDES as [side, label, step] (side)}
      <NumberField
        {label}
        value={budget[side]}
        unit="kB"
        {...within(RANGES.Budget[side])}
        {step}
        keep={(kilobytes) => keep(side, kilobytes)}
      />
    {/each}
  </div>
  {#if open && job}
    <div class="flex items-center gap-2 text-small">
      <progress
        class="progress progress-primary flex-1"
        aria-label="Fitting the pictures"
        max={Math.max(1, job.total)}
        value={job.done}
      ></progress>
      <span class="whitespace-nowrap">{Math.round((100 * job.done) / Math.max(1, job.total))} %</span>
      <button
        type="button"
        class="quiet act"
        disabled={job.state === 'stopping'}
        onclick={() => void work.stop()}>Stop</button
      >
    </div>
    <p class="muted truncate text-small">{job.message}</p>
  {:else if weights && weights.missing > 0}
    <p>
      <button type="button" class="btn btn-primary h-[30px] min-h-0" onclick={() => void work.ask()}
        >Fit {weights.missing} files</button
      >
      <span class="muted text-small">Until then the bundle has WebP alone.</span>
    </p>
    {#if job && (job.state === 'stopped' || job.state === 'failed')}<p class="text-small">
        {job.message}
      </p>{/if}
  {:else if weights}
    <p class="text-success">All files are fitted; the bundle has them.</p>
  {/if}
  {#if weights && weights.rows.length > 0}
    <table class="w-full text-small">
      <thead
        ><tr class="muted text-left"
          ><th class="font-normal">picture</th><th class="font-normal">px</th><th class="font-normal"
            >lightest</th
          ><th class="font-normal" title="SSIM: 1 is the same picture">likeness</th></tr
        ></thead
      >
      <tbody>
        {#each weights.rows as row (`${row.asset} ${row.width} ${row.height} ${row.budget}`)}
          {@const first = row.files.toSorted((a, b) => a.bytes - b.bytes)[0]}
          <tr
            class="border-t border-base-300"
            title={row.files
              .map((f) =>
                f.ssim
                  ? `${f.kind} ${weight(f.bytes)}, quality ${f.quality}, SSIM ${f.ssim}`
                  : `${f.kind} ${weight(f.bytes)}`,
              )
              .join('; ')}
          >
            <td class="max-w-0 truncate py-0.5">{row.name}</td>
            <td class="w-14">{row.width}</td>
            <td class="w-24 whitespace-nowrap" class:over={first && !first.fits}
              >{first ? `${weight(first.bytes)} ${first.kind}` : `of ${weight(row.budget)}`}{first &&
              !first.fits
                ? ' (over)'
                : ''}</td
            >
            <td class="w-14">{first?.ssim ? first.ssim.toFixed(3) : ''}</td>
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
