<script lang="ts">
  /** A block of words: what it says and how it is set, its letters, its plate, its place. */
  import type { Component } from 'svelte';
  import type { Block } from '../api/types';
  import Arrival from './Arrival.svelte';
  import LetterSettings from './LetterSettings.svelte';
  import PhraseSettings from './PhraseSettings.svelte';
  import PlateTab from './PlateTab.svelte';
  import Tabs from '../parts/Tabs.svelte';
  import WordPlace from './WordPlace.svelte';
  import WordText from './WordText.svelte';
  import { useBench } from '../state/context';

  const { doc, place, selection } = useBench();
  type Own = Component<{ block: Block }>;
  /** The settings of blocks that are no words, by the name of their kind. */
  const others = import.meta.glob<Own>('./blocks/*.svelte', { eager: true, import: 'default' });

  const TABS = [
    { id: 'words', name: 'Words' },
    { id: 'phrases', name: 'Phrases' },
    { id: 'letters', name: 'Letters' },
    { id: 'plate', name: 'Plate' },
    { id: 'place', name: 'Place' },
    { id: 'arrival', name: 'Arrival' },
  ] as const;
  const block = $derived(selection.block);
  const tabs = $derived(
    TABS.filter((t) => t.id !== 'phrases' || (block && doc.kind(block).own.includes('phrases'))),
  );
  const tab = $derived(tabs.find((t) => t.id === place.tab)?.id ?? 'words');
  const Other = $derived(block ? others[`./blocks/${block.kind}.svelte`] : undefined);
  const marked = $derived<Record<string, boolean>>({
    phrases: Boolean(block?.phrases?.length) || Object.values(block?.screens ?? {}).some((own) => own.breaks),
    letters: Boolean(
      block?.lettering?.outline || block?.lettering?.shadow || block?.lettering?.over || block?.heard,
    ),
    plate: Boolean(block?.plate),
    arrival: Boolean(block?.entrance),
  });
</script>

{#if block && Other}
  {#key block.id}<Other {block} />{/key}
{:else if block && !doc.kind(block).lettered}
  <p class="muted pt-2">There is nothing to set of it.</p>
{:else if block?.lettering}
  <Tabs
    label="Settings of the words"
    tabs={tabs.map((t) => ({ ...t, mark: marked[t.id] }))}
    value={tab}
    choose={(id) => place.turn(id)}
  >
    {#key `${block.id}/${tab}`}
      {#if tab === 'words'}<WordText {block} />
      {:else if tab === 'phrases'}<PhraseSettings {block} />
      {:else if tab === 'letters'}<LetterSettings {block} />
      {:else if tab === 'plate'}<PlateTab {block} />
      {:else if tab === 'arrival'}<Arrival {block} />
      {:else}<WordPlace {block} />{/if}
    {/key}
  </Tabs>
{:else}
  <p class="muted pt-2">There are no words here yet. Add a heading or a text above.</p>
{/if}
