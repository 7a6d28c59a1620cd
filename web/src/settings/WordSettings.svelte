<script lang="ts">
  /** A block of words: what it says and how it is set, its letters, its plate, its place. */
  import SpaceSettings from './SpaceSettings.svelte';
  import LetterSettings from './LetterSettings.svelte';
  import PictureBlock from './PictureBlock.svelte';
  import PlateTab from './PlateTab.svelte';
  import WordPlace from './WordPlace.svelte';
  import WordText from './WordText.svelte';
  import { useBench } from '../state/context';

  const { edits, selection } = useBench();

  const TABS = { words: 'Words', letters: 'Letters', plate: 'Plate', place: 'Place' } as const;
  let tab = $state<keyof typeof TABS>('words');
  const block = $derived(selection.block);
  const marks = $derived({
    words: false,
    letters: Boolean(
      block?.lettering?.outline || block?.lettering?.shadow || block?.lettering?.over || block?.heard,
    ),
    plate: Boolean(block?.plate),
    place: false,
  });
</script>

{#if block && block.kind === 'space'}
  {#key block.id}<SpaceSettings {block} />{/key}
{:else if block && block.kind === 'picture'}
  {#key block.id}<PictureBlock {block} />{/key}
{:else if block?.lettering}
  <div class="flex gap-1 pb-1" role="tablist" aria-label="Settings of the words">
    {#each Object.entries(TABS) as [id, name] (id)}
      <button
        type="button"
        role="tab"
        class="tab-name"
        aria-selected={tab === id}
        onclick={() => (tab = id as keyof typeof TABS)}
        >{name}{#if marks[id as keyof typeof TABS]}<span class="dot" title="Something is set here"
          ></span>{/if}</button
      >
    {/each}
  </div>
  {#key `${block.id}/${tab}`}
    {#if tab === 'words'}<WordText {block} />
    {:else if tab === 'letters'}<LetterSettings {block} />
    {:else if tab === 'plate'}<PlateTab {block} />
    {:else}<WordPlace {block} />{/if}
  {/key}
{:else}
  <p class="muted pt-2">There are no words here yet. Add a heading or a text above.</p>
{/if}

<style>
  .tab-name {
    display: flex;
    align-items: center;
    gap: 5px;
    min-height: 28px;
    padding: 0 8px;
    border-bottom: 2px solid transparent;
    cursor: pointer;
  }
  .tab-name[aria-selected='true'] {
    border-color: var(--color-primary);
    font-weight: 600;
  }
  .dot {
    width: 6px;
    height: 6px;
    background: var(--color-primary);
    transform: rotate(45deg);
  }
</style>
