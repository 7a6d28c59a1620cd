<script lang="ts">
  /** Whether the words of the page can be read, in one sentence, and what can be done where they cannot. */
  import { useBench } from '../state/context';

  const { eyes, findings, place, sight, ways } = useBench();

  const verdict = $derived(findings.verdict);
  const fit = $derived(findings.fitNow);
  /** Words that are clear enough can still run off the screen. */
  const lost = $derived(fit?.rows.some((row) => row.grave) ?? false);
  const sentence = $derived(
    verdict?.good && lost
      ? verdict.sentence
          .replace('can be read', 'is clear enough')
          .replace(/\.$/, '; some are lost, because they do not fit.')
      : (verdict?.sentence ?? ''),
  );
</script>

<div class="verdicts" class:whole={sight.situation || eyes.kind}>
  {#if sight.situation}
    <span class="min-w-[60px] truncate" title={sight.situation.name}
      >Shown: <b>{sight.situation.name}</b></span
    >
    <button type="button" class="quiet act whitespace-nowrap" onclick={() => sight.meet(null)}
      >At rest again</button
    >
  {/if}
  {#if eyes.kind}
    <span class="seen" title={eyes.told?.sentence}>{eyes.told?.sentence ?? eyes.eye?.title ?? ''}</span>
    <button type="button" class="quiet act whitespace-nowrap" onclick={() => eyes.choose('')}
      >Own eyes again</button
    >
  {/if}
  <span class="break" aria-hidden="true"></span>
  <p
    class="verdict clamped font-semibold"
    role="status"
    title={sentence}
    class:text-warning={verdict && (!verdict.good || lost)}
    class:text-success={verdict?.good && !lost}
  >
    {sentence}
  </p>
  {#if fit && fit.rows.length > 0}
    <button
      type="button"
      class="quiet act whitespace-nowrap"
      title="{fit.sentence} {fit.rows[0]?.sentence} Press to see where, and ways out."
      onclick={() => place.go('situations')}>Fit: {fit.rows.length}</button
    >
  {/if}
  {#if findings.short.length > 0 || (fit && fit.rows.length > 0)}
    <label
      class="muted ml-2 flex cursor-pointer items-center gap-1 whitespace-nowrap"
      title="Mark the letters that fall short, and words that do not fit, on the screens (M)"
    >
      <input type="checkbox" bind:checked={sight.marked} /> marks
    </label>
  {/if}
  {#if findings.short.length > 0}
    <button
      type="button"
      class="quiet act whitespace-nowrap"
      title="How these words can be read at the least cost to the picture (R)"
      aria-pressed={ways.open}
      onclick={() => ways.toggle()}>Ways out</button
    >
  {/if}
</div>

<style>
  .verdicts {
    display: flex;
    flex: 0 1000 auto;
    align-items: center;
    justify-content: flex-end;
    gap: 4px;
    min-height: 28px;
    min-width: min-content;
    max-width: 100%;
    margin-left: auto;
    padding-left: 12px;
  }
  /* two lines fit into the row: its end may say what was not looked at */
  .verdict {
    --lines: 2;
    min-width: 240px;
    line-height: 1.2;
  }
  .seen {
    flex: 0 1 auto;
    min-width: 120px;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  /* the name of a situation needs the room */
  .whole {
    flex-basis: 100%;
    justify-content: flex-start;
    margin-left: 0;
    padding-left: 0;
  }
  .break {
    display: none;
  }
  @container bench (max-width: 1120px) {
    .verdicts {
      /* a row of its own from the start, so that nothing moves when it speaks */
      flex-basis: 100%;
      justify-content: flex-start;
      min-height: 36px;
      margin-left: 0;
      padding-left: 0;
    }
    /* what is shown beside the way back from it; beneath, always in a row of its own, what the words come to */
    .whole {
      flex-wrap: wrap;
    }
    .whole .break {
      display: block;
      flex-basis: 100%;
    }
    .whole .verdict {
      min-height: 2.4em;
      max-width: calc(100% - 240px);
      align-content: center;
    }
    .seen {
      max-width: calc(100% - 150px);
    }
  }
  /* by one hand what can be done stands beside it, and the sentence has three lines */
  @container bench (max-width: 559px) {
    .verdicts {
      min-width: 0;
      min-height: 52px;
    }
    .verdict {
      --lines: 3;
      min-width: 0;
    }
    .whole .verdict {
      min-height: 3.6em;
      max-width: calc(100% - 215px);
    }
    .seen {
      white-space: normal;
      line-height: 1.2;
    }
  }
</style>
