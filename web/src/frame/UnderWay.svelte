<script lang="ts">
  /** Long work of other views than the present one: how far it is, a way to it, a way to stop it. */
  import { useBench } from '../state/context';
  import type { View } from '../views';

  const { findings, place, uploads, ways, work } = useBench();

  type Entry = { id: string; name: string; share: number; views: View[]; stop: () => void };
  const entries = $derived.by((): Entry[] => {
    const found: Entry[] = [];
    const { every, run } = findings;
    if (every.share !== null)
      found.push({
        id: 'every',
        name: 'Looking at every situation',
        share: every.share,
        views: ['situations'],
        stop: () => every.stop(),
      });
    if (run.share !== null)
      found.push({
        id: 'run',
        name: 'Reading at every width',
        share: run.share,
        views: ['situations'],
        stop: () => run.stop(),
      });
    if (findings.everywhere.share !== null)
      found.push({
        id: 'everywhere',
        name: 'Looking at every page',
        share: findings.everywhere.share,
        views: ['bench'],
        stop: () => findings.everywhere.stop(),
      });
    if (ways.open && ways.share < 1)
      found.push({
        id: 'ways',
        name: ways.doing === null ? 'Looking for ways out' : 'Mending the page',
        share: ways.share,
        views: ['bench'],
        stop: () => ways.stop(),
      });
    const coming = uploads.list.filter((u) => !u.problem);
    if (coming.length > 0)
      found.push({
        id: 'uploads',
        name: coming.length === 1 ? `Bringing ${coming[0]?.name}` : `Bringing ${coming.length} pictures`,
        share: coming.reduce((sum, u) => sum + u.done, 0) / coming.length,
        views: ['bench', 'shelf'],
        stop: () => coming.forEach((u) => u.stop()),
      });
    if (work.packing.share !== null)
      found.push({
        id: 'packing',
        name: 'Packing the bundle',
        share: work.packing.share,
        views: ['take'],
        stop: () => work.packing.stop(),
      });
    if (work.open && work.job)
      found.push({
        id: 'work',
        name: work.films ? 'Making films' : 'Fitting pictures',
        share: work.job.total > 0 ? work.job.done / work.job.total : 0,
        // a film's card tells of its own files
        views: work.films ? ['take', 'bench'] : ['take'],
        stop: () => void work.stop(),
      });
    return found.filter((entry) => !entry.views.includes(place.view));
  });
</script>

{#if entries.length > 0}
  <section class="under-way" aria-label="Under way">
    <ul>
      {#each entries as entry (entry.id)}
        <li>
          <button
            type="button"
            class="quiet"
            title="Go to where it is shown"
            onclick={() => place.go(entry.views[0] ?? 'bench')}>{entry.name}</button
          >
          <progress class="progress progress-primary w-20" aria-label={entry.name} max="1" value={entry.share}
          ></progress>
          <button type="button" class="quiet act" aria-label="Stop: {entry.name}" onclick={entry.stop}
            >Stop</button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  /* it comes and goes by itself, so it lies over the foot of the view instead of moving it */
  .under-way {
    position: absolute;
    right: 16px;
    bottom: 12px;
    z-index: 30;
    max-width: calc(100% - 32px);
    padding: 2px 12px;
    font-size: var(--text-small);
    background: var(--color-base-100);
    border: 1px solid var(--color-base-300);
    border-radius: var(--radius-field);
    box-shadow: var(--lift);
  }
  li {
    display: flex;
    align-items: center;
    gap: 6px;
  }
</style>
