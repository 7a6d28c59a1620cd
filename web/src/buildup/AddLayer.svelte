<script lang="ts">
  /** Puts a new layer in at the place where it shall lie. */
  import type { Bench } from '../bench/bench.svelte';
  import { addColour, addPicture } from './layers';

  let { bench, at, last }: { bench: Bench; at: number; last: boolean } = $props();
  let menu = $state<HTMLElement>();
  let plus = $state<HTMLElement>();
  let spot = $state({ left: 0, top: 0 });
  const id = $props.id();
  const place = $derived(at === 0 ? 'on the base' : `on ${bench.layers[at - 1]?.name ?? 'the top'}`);
  const assets = $derived(bench.site?.assets ?? []);

  function settle(): void {
    const box = plus?.getBoundingClientRect();
    if (box) spot = { left: Math.max(16, box.left - 40), top: box.bottom + 46 };
  }

  function choose(action: () => void): void {
    menu?.hidePopover();
    action();
  }
</script>

<button
  type="button"
  bind:this={plus}
  class="add"
  class:last
  popovertarget={id}
  aria-label="Lay something in {place}"
  title="Lay something in {place}">+</button
>
<div
  {id}
  popover
  bind:this={menu}
  class="offer"
  onbeforetoggle={settle}
  style:left="{spot.left}px"
  style:top="{spot.top}px"
>
  <p class="muted pb-1">Lay in {place}:</p>
  <div class="flex gap-2">
    <button
      type="button"
      class="btn btn-outline h-[30px] min-h-0"
      onclick={() => choose(() => void addColour(bench, at))}>A colour</button
    >
    {#each assets.slice(0, 8) as asset (asset.id)}
      <button
        type="button"
        class="thumb"
        aria-label="The picture {asset.name}"
        title={asset.name}
        style:background-image="url(/thumbs/{asset.hash.slice(0, 10)})"
        onclick={() => choose(() => void addPicture(bench, asset, at))}
      ></button>
    {/each}
  </div>
</div>

<style>
  .add {
    position: absolute;
    left: calc(100% + 1px);
    top: 22px;
    width: 16px;
    height: 32px;
    line-height: 1;
    color: var(--color-primary);
    font-size: 17px;
    cursor: pointer;
    anchor-name: --add;
  }
  .add:hover {
    background: color-mix(in oklab, var(--color-primary) 14%, transparent);
  }
  .thumb {
    width: 46px;
    height: 30px;
    background-size: cover;
    background-position: center;
    border: 1px solid var(--color-base-300);
    cursor: pointer;
  }
</style>
