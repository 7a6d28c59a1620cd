<script lang="ts">
  /** One band: where on the page it stands, its rules as sentences, one more rule, its place in the list. */
  import type { CalendarBand, CalendarFound, Place, PlacingRule } from '../api/types';
  import NameField from '../parts/NameField.svelte';
  import { useBench } from '../state/context';
  import PageChoice from './PageChoice.svelte';
  import RuleMaker from './RuleMaker.svelte';
  import { aboutPages, chosenPages } from './rules';

  type Props = { band: CalendarBand; found: CalendarFound; day: string };
  let { band, found, day }: Props = $props();
  const { doc, edits, place, selection } = useBench();

  const rules = $derived(doc.site?.placed?.find((one) => one.page === band.page)?.rules ?? []);
  const at = $derived(found.bands.findIndex((b) => b.page === band.page));

  function open(): void {
    selection.choosePage(band.page);
    place.go('bench');
  }

  function change(number: number, rule: PlacingRule): void {
    void edits.edit({ kind: 'change-rule', page: band.page, number, rule }, undefined, false);
  }

  function move(to: number): void {
    void edits.edit({ kind: 'move-placed', page: band.page, to }, undefined, false);
  }
</script>

<section aria-label="Rules of {band.title}" class="flex flex-col gap-1.5">
  <div class="flex items-baseline gap-2">
    <NameField
      label="Name of the band"
      value={band.title}
      keep={(title) => edits.edit({ kind: 'name-page', page: band.page, title }, undefined, false)}
    />
    <select
      class="where"
      aria-label="Where {band.title} stands"
      value={band.place}
      onchange={(e) =>
        void edits.edit(
          { kind: 'put-placed', page: band.page, place: e.currentTarget.value as Place },
          undefined,
          false,
        )}
    >
      {#each Object.entries(found.places) as [id, name] (id)}<option value={id}>{name}</option>{/each}
    </select>
  </div>
  {#if band.never}
    <p class="text-warning text-small">Never to be seen: {band.never}.</p>
  {/if}
  <ul class="flex flex-wrap gap-x-2 gap-y-1.5" aria-label="Rules">
    {#each band.rules as one, number (number)}
      {@const about = chosenPages(rules[number])}
      <li class="rule">
        {#if about}
          {about.kind === 'on' ? 'On' : 'Not on'}
          <PageChoice
            label="{one.sentence}: other pages"
            {found}
            value={about.chosen}
            choose={(value) => change(number, aboutPages(about.kind, value))}
          />
        {:else}{one.sentence}{/if}
        <button
          type="button"
          class="away"
          aria-label="Take away: {one.sentence}"
          title="Take this rule away"
          onclick={() => void edits.edit({ kind: 'remove-rule', page: band.page, number }, undefined, false)}
          >×</button
        >
      </li>
    {:else}
      <li class="muted">Without rules it stands on every page, every day.</li>
    {/each}
  </ul>
  <RuleMaker {band} {found} {day} />
  <div class="-ml-2 flex flex-wrap">
    <button type="button" class="quiet act" onclick={open}>Open on the bench</button>
    <button
      type="button"
      class="quiet act"
      disabled={at <= 0}
      title="Where several could stand, the first in the list does"
      onclick={() => move(at - 1)}>Earlier</button
    >
    <button
      type="button"
      class="quiet act"
      disabled={at === found.bands.length - 1}
      onclick={() => move(at + 1)}>Later</button
    >
    <button
      type="button"
      class="quiet act"
      aria-label="Remove {band.title}"
      onclick={() => void edits.edit({ kind: 'remove-placed', page: band.page }, undefined, false)}
      >Remove</button
    >
  </div>
</section>

<style>
  .where {
    min-height: 28px;
    background: transparent;
    font-weight: 600;
    cursor: pointer;
  }
  .rule {
    display: flex;
    align-items: center;
    gap: 4px;
    padding-left: 8px;
    border: 1px solid var(--color-base-300);
    background: color-mix(in oklab, var(--color-base-content) 4%, transparent);
  }
  .away {
    min-width: 24px;
    min-height: 24px;
    cursor: pointer;
  }
  .away:hover {
    color: var(--color-error);
  }
</style>
