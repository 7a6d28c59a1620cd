<script lang="ts">
  /** The screens of the site: which there are, which widths each stands for; adding and removing them. */
  import { useBench } from '../state/context';
  import { numberIn } from './numbers';
  import Panel from './Panel.svelte';

  const { doc, edits } = useBench();

  let draft = $state({ name: '', width: '', height: '' });
  let problem = $state<string | null>(null);

  async function add(): Promise<void> {
    const [width, height] = [numberIn(draft.width, 'px'), numberIn(draft.height, 'px')];
    if (width === null || height === null) {
      problem = 'A screen has a width and a height in px, like 390 × 844.';
      return;
    }
    const refused = await edits.edit({ kind: 'add-screen', name: draft.name.trim(), width, height });
    problem = refused?.message ?? null;
    if (!refused) draft = { name: '', width: '', height: '' };
  }
</script>

<Panel name="screens" label="Screens" width={352}>
  {#snippet opener(props)}
    <button {...props} type="button" class="quiet" title="The screens of this site: add one, remove one"
      >Screens</button
    >
  {/snippet}
  <ul>
    {#each doc.screens as screen (screen.id)}
      <li class="flex items-center gap-2 border-b border-base-300 py-1">
        <b>{screen.name}</b>
        <span class="muted text-small"
          >{screen.width} × {screen.height}, for {screen.least} to {screen.most >= 10000
            ? 'any'
            : screen.most} px</span
        >
        <button
          type="button"
          class="quiet act ml-auto"
          aria-label="Remove the screen {screen.name}"
          disabled={doc.screens.length === 1}
          onclick={() => void edits.edit({ kind: 'remove-screen', screen: screen.id })}>Remove</button
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
  {#if problem}<p role="alert" class="pt-1 text-small text-error">{problem}</p>{/if}
</Panel>
