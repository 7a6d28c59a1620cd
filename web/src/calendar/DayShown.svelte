<script lang="ts">
  /** A page as it is on a day: a true picture, and the way to the screens of the bench. */
  import { ofSite } from '../api/site';
  import { useBench } from '../state/context';
  import { longDay } from './days';

  type Props = { page: string; title: string; day: string; revision: number };
  let { page, title, day, revision }: Props = $props();
  const { place, selection } = useBench();

  function open(): void {
    selection.look(day);
    place.go('bench');
  }
</script>

<figure class="flex flex-col gap-1">
  <img
    src={ofSite(`/page-pictures/${page}/${revision}?day=${day}`)}
    alt="{title} on {longDay(day)}"
    width="480"
    height="300"
  />
  <figcaption class="flex items-baseline justify-between gap-2">
    <span class="truncate text-small" title="{title}, {longDay(day)}">{title}</span>
    <button type="button" class="quiet act whitespace-nowrap" onclick={open}>On three screens</button>
  </figcaption>
</figure>

<style>
  img {
    width: 100%;
    height: auto;
    aspect-ratio: 480 / 300;
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 26%, transparent);
  }
</style>
