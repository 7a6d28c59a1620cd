<script lang="ts">
  /** The entries of a menu: words and where they lead; how they stand, everywhere or on one screen. */
  import type { Block } from '../api/types';
  import Choice from '../parts/Choice.svelte';
  import Differs from '../parts/Differs.svelte';
  import Field from '../parts/Field.svelte';
  import ScopeSelect from '../parts/ScopeSelect.svelte';
  import { editorOf } from '../state/editor';
  import { take } from '../state/target';
  import { useBench } from '../state/context';

  let { block }: { block: Block } = $props();
  const { edits, selection } = useBench();

  const STANDS = [
    { value: 'beside', name: 'beside each other' },
    { value: 'folded', name: 'folded', note: 'behind a word that opens them, without a script' },
  ] as const;
  const every = $derived([block.fold, ...Object.values(block.screens ?? {}).map((own) => own.fold)]);
  /** How they are at first, wherever they fold. */
  const first = $derived(every.includes('open') ? 'open' : 'closed');
  const folds = $derived(every.some((fold) => fold === 'open' || fold === 'closed'));
  const own = $derived(selection.scope ? block.screens?.[selection.scope] : undefined);
  const fold = $derived(own?.fold ?? block.fold ?? 'beside');

  /** Open or closed at first, wherever they fold. */
  function begin(open: boolean): void {
    const then = open ? 'open' : 'closed';
    const turned = (now: string | null | undefined) =>
      now === 'open' || now === 'closed' ? then : (now ?? null);
    const screens = Object.fromEntries(
      Object.entries(block.screens ?? {}).map(([id, said]) => [id, { ...said, fold: turned(said.fold) }]),
    );
    void to.keep(
      { fold: turned(block.fold) ?? 'beside', screens },
      open ? 'Open at first' : 'Closed at first',
    );
  }
  const items = $derived(block.items ?? []);
  const to = editorOf((chosen) => chosen.blockTarget(block.id));
</script>

<ul class="flex flex-col gap-1" aria-label="Entries of the menu">
  {#each items as item, n (n)}
    <li class="grid grid-cols-[1fr_1fr_auto] gap-1.5">
      <Field
        label="Entry {n + 1}"
        hideLabel
        value={item.wording}
        show={(text) => text && to.show({ [`items/${n}/wording`]: text })}
        keep={(text) => to.keep({ [`items/${n}/wording`]: text }, `Entry ${text}`)}
      />
      <Field
        label="Link of entry {n + 1}"
        hideLabel
        value={item.link ?? '#'}
        keep={(text) => to.keep({ [`items/${n}/link`]: text }, `Link to ${text}`)}
      />
      <button
        type="button"
        class="quiet"
        aria-label="Remove {item.wording}"
        onclick={() => void edits.keep(take(to.target, `/items/${n}`), `Remove ${item.wording}`)}>×</button
      >
    </li>
  {/each}
</ul>
<button
  type="button"
  class="quiet act self-start"
  onclick={() => void to.keep({ 'items/-': { wording: 'New entry', link: '#' } }, 'Add an entry')}
  >Add an entry</button
>
<div class="flex flex-wrap items-center gap-x-3 gap-y-1">
  <Choice
    label="Entries"
    value={fold === 'beside' ? 'beside' : 'folded'}
    options={STANDS}
    choose={(value) =>
      void to.keep(
        { fold: value === 'folded' ? first : 'beside' },
        value === 'folded' ? 'Fold the menu' : 'Entries beside each other',
        selection.scope,
      )}
  />
  <ScopeSelect label="So they stand on" />
  <Differs item={block} fields={['fold']} />
</div>
{#if folds}
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
    <span class="muted w-[68px] text-small" aria-hidden="true">Behind</span>
    <Field
      label="The word that they fold behind"
      hideLabel
      width="140px"
      placeholder="Menu"
      value={block.wording ?? ''}
      show={(text) => to.show({ wording: text })}
      keep={(text) => to.keep({ wording: text }, text ? `Folded behind ${text}` : 'Folded behind Menu')}
    />
    <label class="flex min-h-7 items-center gap-1.5">
      <input
        type="checkbox"
        class="h-4 w-4"
        checked={first === 'open'}
        onchange={(e) => begin(e.currentTarget.checked)}
      />
      <span>open at first</span>
    </label>
  </div>
{/if}
