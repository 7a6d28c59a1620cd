<script lang="ts">
  /** Whose days they are, which weeks are in sight, and a band to begin. */
  import ChevronLeft from '@lucide/svelte/icons/chevron-left';
  import ChevronRight from '@lucide/svelte/icons/chevron-right';
  import Field from '../parts/Field.svelte';
  import { useBench } from '../state/context';

  type Props = {
    /** The site's time zone; undefined: its days are not known yet. */
    zone: string | undefined;
    /** Show so many weeks later. */
    go: (weeks: number) => void;
    today: () => void;
  };
  let { zone, go, today }: Props = $props();
  const { edits, place } = useBench();

  const begin = () =>
    void edits.edit({ kind: 'new-placed' }, (chosen) => {
      if (chosen) place.item = chosen;
    });
</script>

<!-- there from the start, so that nothing moves when the days come -->
<Field
  label="Time zone of the site"
  hideLabel
  width="150px"
  value={zone ?? ''}
  disabled={zone === undefined}
  maxlength={60}
  note="Whose days rules mean: a name like Europe/London"
  keep={(zone) => edits.edit({ kind: 'set-zone', zone }, undefined, false)}
/>
<div class="flex items-center">
  <button
    type="button"
    class="quiet icon"
    aria-label="Four weeks earlier"
    disabled={zone === undefined}
    onclick={() => go(-4)}><ChevronLeft size={17} aria-hidden="true" /></button
  >
  <button type="button" class="quiet act" onclick={today}>Today</button>
  <button
    type="button"
    class="quiet icon"
    aria-label="Four weeks later"
    disabled={zone === undefined}
    onclick={() => go(4)}><ChevronRight size={17} aria-hidden="true" /></button
  >
  <button type="button" class="btn btn-primary ml-2 h-[30px] min-h-0 px-3" onclick={begin}>A new band</button>
</div>

<style>
  .icon {
    display: grid;
    place-items: center;
    min-width: 30px;
  }
</style>
