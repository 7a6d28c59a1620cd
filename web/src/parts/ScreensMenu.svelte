<script lang="ts">
  /** The screens of the site: which there are, which widths each stands for; adding and removing them. */
  import type { Bench } from '../bench/bench.svelte';

  let { bench }: { bench: Bench } = $props();

  const id = $props.id();
  let opener = $state<HTMLElement>();
  let spot = $state({ left: 0, top: 0 });
  let draft = $state({ name: '', width: '', height: '' });
  let problem = $state<string | null>(null);

  function settle(): void {
    const box = opener?.getBoundingClientRect();
    if (box) spot = { left: Math.max(8, box.right - 340), top: box.bottom + 4 };
  }

  async function add(): Promise<void> {
    const refused = await bench.edit({
      kind: 'add-screen',
      name: draft.name.trim(),
      width: Number(draft.width),
      height: Number(draft.height),
    });
    problem = refused?.message ?? null;
    if (!refused) draft = { name: '', width: '', height: '' };
  }
</script>

<button type="button" class="quiet" bind:this={opener} popovertarget={id} title="The screens of this site"
  >Screens</button
>
<div
  {id}
  popover
  class="offer"
  style:width="340px"
  aria-label="Screens"
  onbeforetoggle={settle}
  style:left="{spot.left}px"
  style:top="{spot.top}px"
>
  <ul>
    {#each bench.screens as screen (screen.id)}
      <li class="flex items-center gap-2 border-b border-base-300 py-1">
        <b>{screen.name}</b>
        <span class="muted text-[12.5px]"
          >{screen.width} × {screen.height}, for {screen.least} to {screen.most >= 10000
            ? 'any'
            : screen.most} px</span
        >
        <button
          type="button"
          class="quiet act ml-auto"
          aria-label="Remove the screen {screen.name}"
          disabled={bench.screens.length === 1}
          onclick={() => void bench.edit({ kind: 'remove-screen', screen: screen.id })}>Remove</button
        >
      </li>
    {/each}
  </ul>
  <form
    class="flex items-center gap-1.5 pt-2"
    onsubmit={(e) => {
      e.preventDefault();
      void add();
    }}
  >
    <input
      class="field w-28"
      placeholder="New screen"
      aria-label="Name of a new screen"
      bind:value={draft.name}
    />
    <input
      class="field w-16"
      placeholder="width"
      aria-label="Its width"
      inputmode="numeric"
      bind:value={draft.width}
    />
    ×
    <input
      class="field w-16"
      placeholder="height"
      aria-label="Its height"
      inputmode="numeric"
      bind:value={draft.height}
    />
    <button type="submit" class="btn btn-outline h-[28px] min-h-0 px-2" disabled={!draft.name.trim()}
      >Add</button
    >
  </form>
  {#if problem}<p role="alert" class="pt-1 text-[13px] text-error">{problem}</p>{/if}
</div>
