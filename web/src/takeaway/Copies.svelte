<script lang="ts">
  /** The copies that are made each day on which something has changed, and bringing one back. */
  import * as client from '../api/client';
  import type { DailyCopy } from '../api/types';
  import { useBench } from '../state/context';

  /** Told once it is known how many copies there are. */
  let { known }: { known: () => void } = $props();
  const { doc, edits, notices } = useBench();

  let copies = $state.raw<DailyCopy[] | null>(null);
  let failed = $state('');
  let busy = $state('');

  $effect(() => {
    if (!doc.state) return;
    client
      .copies()
      .then((found) => {
        copies = found;
        failed = '';
      })
      .catch(
        (error: unknown) => (failed = error instanceof Error ? error.message : 'They cannot be read now.'),
      )
      .finally(known);
  });

  const long = (day: string) =>
    new Date(`${day}T12:00:00Z`).toLocaleDateString('en-GB', {
      day: 'numeric',
      month: 'long',
      year: 'numeric',
    });

  async function back(day: string): Promise<void> {
    busy = day;
    const problem = await edits.exchange((revision) => client.bringBack(revision, day));
    busy = '';
    failed = problem?.message ?? '';
    if (!problem)
      notices.notice = {
        text: `The site is as it was in the copy of ${long(day)}. Undo takes that back.`,
        tone: 'plain',
      };
  }
</script>

<section aria-labelledby="copies">
  <h2 id="copies" class="display-face text-head">Daily copies</h2>
  <p class="py-1.5">
    One is made on its own each day on which something has changed; the last seven are kept.
  </p>
  {#if failed}<p role="alert" class="pb-1.5 text-error">{failed}</p>{/if}
  {#if copies === null && !failed}
    <p class="muted">Looking for copies …</p>
  {:else if copies?.length === 0}
    <p class="muted">There is none yet; the first is made within five minutes.</p>
  {:else if copies}
    <ul>
      {#each copies as copy (copy.day)}
        {@const same = copy.revision === doc.state?.revision}
        <li class="flex items-center gap-3 border-t border-base-300 py-1.5">
          <span class="min-w-0 flex-1">
            <b class="block">{long(copy.day)}</b>
            <span class="muted block truncate text-small" title={copy.label}
              >{copy.steps === 1 ? '1 step' : `${copy.steps} steps`}, the last: {copy.label}</span
            >
          </span>
          {#if same}
            <span class="muted shrink-0">as it is now</span>
          {:else}
            <button
              type="button"
              class="btn btn-outline h-[30px] min-h-0 shrink-0"
              disabled={busy !== ''}
              title="Put it in place of what is here, as one step"
              onclick={() => void back(copy.day)}
              >{busy === copy.day ? 'Bringing back …' : 'Bring back'}</button
            >
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</section>
