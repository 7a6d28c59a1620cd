<script lang="ts">
  /** Whether the words of the page can be read, in one sentence, and what can be done where they cannot. */
  import { useBench } from '../state/context';

  const { doc, findings, sight, ways } = useBench();

  const verdict = $derived.by(() => {
    const { short, readings } = findings;
    if (readings.length === 0) return { text: '', short: false };
    if (short.length === 0) {
      const unsure = readings.filter((r) => !r.vouched).length;
      if (unsure === readings.length) return { text: 'Nothing here could be measured.', short: true };
      return {
        text: `Every word can be read on every screen${unsure > 0 ? ', as far as it could be measured' : ''}.`,
        short: false,
      };
    }
    const blocks = new Set(short.map((r) => r.block)).size;
    const names = doc.screens
      .filter((s) => short.some((r) => r.screen === s.id))
      .map((s) => s.name.toLowerCase());
    const where =
      names.length === doc.screens.length ? 'on every screen' : `on the ${names.join(' and the ')}`;
    const what = blocks === 1 ? 'One block of words falls' : `${blocks} blocks of words fall`;
    return { text: `${what} short ${where}.`, short: true };
  });
</script>

<div class="verdicts">
  {#if sight.situation}
    <span class="whitespace-nowrap">Shown: <b>{sight.situation.name}</b></span>
    <button type="button" class="quiet act whitespace-nowrap" onclick={() => sight.meet(null)}
      >At rest again</button
    >
  {/if}
  <p
    class="truncate font-semibold"
    role="status"
    title={verdict.text}
    class:text-warning={verdict.short}
    class:text-success={!verdict.short}
  >
    {verdict.text}
  </p>
  {#if findings.short.length > 0}
    <label
      class="muted ml-2 flex cursor-pointer items-center gap-1 whitespace-nowrap"
      title="Mark the letters that fall short, on the screens (M)"
    >
      <input type="checkbox" bind:checked={sight.marked} /> marks
    </label>
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
    min-width: min(300px, 100%);
    margin-left: auto;
    padding-left: 12px;
  }
  @container bench (max-width: 1120px) {
    .verdicts {
      /* a row of its own from the start, so that nothing moves when it speaks */
      flex-basis: 100%;
      justify-content: flex-start;
      margin-left: 0;
      padding-left: 0;
    }
  }
</style>
