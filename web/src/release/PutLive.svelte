<script lang="ts">
  /** The press that puts the site live; where words fall short or are lost, one more. */
  import type { Look } from '../api/types';
  import Progress from '../parts/Progress.svelte';
  import { useBench } from '../state/context';

  /** `look`: what the release would be; null: that is not measured yet. */
  let { look, next }: { look: Look | null; next: number } = $props();
  const { doc, releases } = useBench();
  const { publishing } = releases;
  /** The state of which it was said that words fall short and that this is meant. */
  let asking = $state<number | null>(null);
  const short = $derived((look?.check.short ?? 0) > 0);
  const lost = $derived((look?.check.lost.length ?? 0) > 0);
  const what = $derived(
    short && lost ? 'Words fall short, and some are lost' : short ? 'Words fall short' : 'Words are lost',
  );
  const asked = $derived(asking === doc.revision && look !== null);

  function press(): void {
    if ((short || lost) && !asked) asking = doc.revision;
    else void releases.publish(doc.revision, asked).then(() => (asking = null));
  }
</script>

{#if publishing.share !== null}
  <Progress
    label="Putting release {next} live"
    share={publishing.share}
    doing={publishing.doing}
    stop={() => publishing.stop()}
  />
{:else if asked}
  <div class="border-l-2 border-warning pl-3" role="group" aria-label={what}>
    <p class="pb-1.5">{what}. Visitors will meet them so, and the list of releases will say it.</p>
    <div class="flex gap-2">
      <button type="button" class="btn btn-primary h-[32px] min-h-0" onclick={press}
        >Put it live all the same</button
      >
      <button type="button" class="btn btn-outline h-[32px] min-h-0" onclick={() => (asking = null)}
        >Not yet</button
      >
    </div>
  </div>
{:else}
  <button
    type="button"
    class="btn btn-primary h-[32px] min-h-0 self-start"
    disabled={look === null || doc.draft.length > 0}
    title={look === null ? 'It is measured first' : 'Visitors see it from then on'}
    onclick={press}>Put release {next} live</button
  >
{/if}
