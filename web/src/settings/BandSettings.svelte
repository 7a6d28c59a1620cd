<script lang="ts">
  /** A band's height, spaces and columns, for all screens or for one. While a space is changed, the screens show it. */
  import type { Band, Column } from '../api/types';
  import { on } from '../state/screens';
  import Choice from '../parts/Choice.svelte';
  import Differs from '../parts/Differs.svelte';
  import Field from '../parts/Field.svelte';
  import LengthField from '../parts/LengthField.svelte';
  import { editorOf, type Values } from '../state/editor';
  import { firstWords } from '../state/tree';
  import { useBench } from '../state/context';

  let { band }: { band: Band } = $props();
  const { edits, selection, sight } = useBench();

  const STANDS = [
    { value: 'start', name: 'at the top' },
    { value: 'center', name: 'in the middle' },
    { value: 'end', name: 'at the foot' },
  ] as const;
  const LAYOUTS = [
    { value: 'row', name: 'side by side' },
    { value: 'stack', name: 'stacked' },
  ] as const;

  const own = $derived(on(band, selection.scope));
  const to = editorOf((chosen) => chosen.bandTarget);
  const show = (values: Values) => to.show(values, selection.scope);
  const keep = (values: Values, label: string) => to.keep(values, label, selection.scope);
  const height = $derived(own.height ?? {});
  const padding = $derived(own.padding ?? {});
  const proportion = (text: string): number | null => {
    const pair = /^\s*([\d.]+)\s*[:/]\s*([\d.]+)\s*$/.exec(text);
    const value = pair ? Number(pair[1]) / Number(pair[2]) : Number.parseFloat(text);
    return text.trim() === '' || text.trim() === 'none' ? null : value;
  };
  const said = $derived(height.proportion ? String(Math.round(height.proportion * 1000) / 1000) : 'none');
  const named = (column: Column | undefined) => firstWords(column?.blocks ?? []) || column?.name || 'Column';
  /** Its columns as they stand on the chosen screen. */
  const standing = $derived.by(() => {
    const all = band.columns ?? [];
    const first = (own.order ?? []).filter((n) => n < all.length);
    return [...first, ...all.map((_, n) => n).filter((n) => !first.includes(n))].flatMap((n) => all[n] ?? []);
  });
  const hidden = $derived(own.visible === false);

  /** One place earlier, on the chosen screen or everywhere. */
  function move(column: string): void {
    const [page, screen] = [selection.page?.id ?? '', selection.scope];
    void edits.edit({ kind: 'move-column', page, band: band.id, column, by: -1, screen });
  }
</script>

<div
  class="grid grid-cols-[repeat(auto-fit,minmax(100px,1fr))] gap-2"
  role="presentation"
  onfocusin={() => (sight.spaces = true)}
  onfocusout={() => (sight.spaces = false)}
>
  <LengthField
    label="Least height"
    value={height.min ?? '0px'}
    note="px, vh, vw, rem or clamp(least, wanted, most); its words may make it higher"
    show={(text) => show({ height: { ...height, min: text } })}
    keep={(text) => keep({ height: { ...height, min: text } }, `Least height ${text}`)}
  />
  <Field
    label="Width : height"
    value={said}
    note="a proportion like 16:9 or 2.4, or none"
    show={(text) => show({ height: { ...height, proportion: proportion(text) } })}
    keep={(text) => keep({ height: { ...height, proportion: proportion(text) } }, `Proportion ${text}`)}
  />
  <LengthField
    label="Above, below"
    value={padding.block ?? '48px'}
    note="inner space above and below the words: the backdrop shows in it"
    show={(text) => show({ padding: { ...padding, block: text } })}
    keep={(text) => keep({ padding: { ...padding, block: text } }, `Space above and below ${text}`)}
  />
  <LengthField
    label="Beside"
    value={padding.inline ?? '6vw'}
    note="inner space beside the words: the backdrop shows in it"
    show={(text) => show({ padding: { ...padding, inline: text } })}
    keep={(text) => keep({ padding: { ...padding, inline: text } }, `Space beside ${text}`)}
  />
  <LengthField
    label="Outer space"
    value={band.space ?? '0px'}
    note="outer space above and below the band: its backdrop does not show there"
    show={(text) => to.show({ space: text })}
    keep={(text) => to.keep({ space: text }, `Outer space ${text}`)}
  />
  <LengthField
    label="Words' width"
    value={band.content?.width ?? '1120px'}
    note="how wide the columns together are at most"
    show={(text) => to.show({ 'content/width': text })}
    keep={(text) => to.keep({ 'content/width': text }, `Words ${text} wide`)}
  />
  <label class="min-w-0">
    <span class="muted block pb-0.5 text-small">Columns</span>
    <select
      class="field w-full"
      value={band.columns?.length ?? 0}
      onchange={(e) =>
        void edits.edit({
          kind: 'set-columns',
          page: selection.page?.id ?? '',
          band: band.id,
          count: Number(e.currentTarget.value),
        })}
    >
      {#if !band.columns?.length}<option value={0}>none</option>{/if}
      {#each [1, 2, 3, 4] as n (n)}<option value={n}>{n}</option>{/each}
    </select>
  </label>
  <label class="flex min-w-0 items-end gap-1.5 pb-1">
    <input
      type="checkbox"
      class="h-4 w-4"
      checked={!hidden}
      onchange={(e) =>
        void keep(
          { visible: e.currentTarget.checked },
          `${e.currentTarget.checked ? 'Show' : 'Hide'} ${band.name}`,
        )}
    />
    <span>shown</span>
  </label>
</div>
<div class="flex flex-wrap items-center gap-x-4">
  <Choice
    label="Words"
    value={band.content?.stand ?? 'start'}
    options={STANDS}
    choose={(stand) => void to.keep({ 'content/stand': stand }, `Words ${stand}`)}
  />
  {#if (band.columns?.length ?? 0) > 1}
    <Choice
      label="Columns"
      value={own.layout === 'auto' || !own.layout ? 'row' : own.layout}
      options={LAYOUTS}
      choose={(layout) => void keep({ layout }, `Columns ${layout}`)}
    />
  {/if}
  {#if standing.length > 1}
    <div class="flex items-center gap-2" role="group" aria-label="Order of the columns">
      <span class="muted text-small" aria-hidden="true">In order</span>
      {#each standing as column, n (column.id)}
        {@const words = named(column)}
        {#if n > 0}
          <button
            type="button"
            class="quiet swap"
            title="{words} before {named(standing[n - 1])}{selection.scope ? ', on this screen alone' : ''}"
            aria-label="{words} before {named(standing[n - 1])}"
            onclick={() => move(column.id)}>⇄</button
          >
        {/if}
        <span class="max-w-[150px] truncate">{words}</span>
      {/each}
    </div>
  {/if}
  <Differs item={band} fields={['height', 'padding', 'layout', 'order', 'visible']} />
</div>
