<script lang="ts">
  import { COLOURS, MOODS, SHAPES, type Filter } from './filter';

  let { filter = $bindable(), moods = true }: { filter: Filter; moods?: boolean } = $props();
  const set = (part: Partial<Filter>) => (filter = { ...filter, ...part });
</script>

<input
  class="field w-48"
  type="search"
  placeholder="Find by a word"
  aria-label="Find by a word"
  value={filter.word}
  oninput={(e) => set({ word: e.currentTarget.value })}
/>
<select
  class="field"
  aria-label="Find by colour"
  value={filter.colour}
  onchange={(e) => set({ colour: e.currentTarget.value })}
>
  <option value="">any colour</option>
  {#each COLOURS as colour (colour)}<option value={colour}>{colour}</option>{/each}
</select>
<select
  class="field"
  aria-label="Find by shape"
  value={filter.shape}
  onchange={(e) => set({ shape: e.currentTarget.value })}
>
  <option value="">any shape</option>
  {#each SHAPES as shape (shape)}<option value={shape}>{shape}</option>{/each}
</select>
{#if moods}
  <select
    class="field"
    aria-label="Find calm or busy"
    value={filter.mood}
    onchange={(e) => set({ mood: e.currentTarget.value })}
  >
    <option value="">calm or busy</option>
    {#each MOODS as mood (mood)}<option value={mood}>{mood}</option>{/each}
  </select>
{/if}
