<script lang="ts">
  /** A band's height, spaces and columns, for all screens or for one. While a space is changed, the screens show it. */
  import type { Band, Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import { on, setting } from '../bench/exceptions';
  import Choice from '../parts/Choice.svelte';
  import Differs from '../parts/Differs.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeLength } from '../parts/lengths';

  let { bench, band }: { bench: Bench; band: Band } = $props();

  const STANDS = [
    { value: 'start', name: 'at the top' },
    { value: 'center', name: 'in the middle' },
    { value: 'end', name: 'at the foot' },
  ] as const;
  const LAYOUTS = [
    { value: 'row', name: 'side by side' },
    { value: 'stack', name: 'stacked' },
  ] as const;

  const own = $derived(on(band, bench.scope));
  const set = (values: Record<string, unknown>): Operation[] =>
    setting(bench.bandPath, band, values, bench.scope);
  const height = $derived(own.height ?? {});
  const padding = $derived(own.padding ?? {});
  const proportion = (text: string): number | null => {
    const pair = /^\s*([\d.]+)\s*[:/]\s*([\d.]+)\s*$/.exec(text);
    const value = pair ? Number(pair[1]) / Number(pair[2]) : Number.parseFloat(text);
    return text.trim() === '' || text.trim() === 'none' ? null : value;
  };
  const said = $derived(height.proportion ? String(Math.round(height.proportion * 1000) / 1000) : 'none');
  const hidden = $derived(own.visible === false);
</script>

<div
  class="grid grid-cols-4 gap-2"
  role="presentation"
  onfocusin={() => (bench.spaces = true)}
  onfocusout={() => (bench.spaces = false)}
>
  <Field
    label="Least height"
    value={height.min ?? '0px'}
    nudge={nudgeLength}
    note="px, vh, vw, rem or clamp(least, wanted, most); its words may make it higher"
    show={(text) => bench.show(set({ height: { ...height, min: text } }))}
    keep={(text) => bench.keep(set({ height: { ...height, min: text } }), `Least height ${text}`)}
  />
  <Field
    label="Width : height"
    value={said}
    note="a proportion like 16:9 or 2.4, or none"
    show={(text) => bench.show(set({ height: { ...height, proportion: proportion(text) } }))}
    keep={(text) =>
      bench.keep(set({ height: { ...height, proportion: proportion(text) } }), `Proportion ${text}`)}
  />
  <Field
    label="Above, below"
    value={padding.block ?? '48px'}
    nudge={nudgeLength}
    note="inner space above and below the words: the backdrop shows in it"
    show={(text) => bench.show(set({ padding: { ...padding, block: text } }))}
    keep={(text) =>
      bench.keep(set({ padding: { ...padding, block: text } }), `Space above and below ${text}`)}
  />
  <Field
    label="Beside"
    value={padding.inline ?? '6vw'}
    nudge={nudgeLength}
    note="inner space beside the words: the backdrop shows in it"
    show={(text) => bench.show(set({ padding: { ...padding, inline: text } }))}
    keep={(text) => bench.keep(set({ padding: { ...padding, inline: text } }), `Space beside ${text}`)}
  />
  <Field
    label="Outer space"
    value={band.space ?? '0px'}
    nudge={nudgeLength}
    note="outer space above and below the band: its backdrop does not show there"
    show={(text) => bench.show(setting(bench.bandPath, band, { space: text }, null))}
    keep={(text) => bench.keep(setting(bench.bandPath, band, { space: text }, null), `Outer space ${text}`)}
  />
  <Field
    label="Words' width"
    value={band.content?.width ?? '1120px'}
    nudge={nudgeLength}
    note="how wide the columns together are at most"
    show={(text) => bench.show([{ op: 'add', path: `${bench.bandPath}/content/width`, value: text }])}
    keep={(text) =>
      bench.keep([{ op: 'add', path: `${bench.bandPath}/content/width`, value: text }], `Words ${text} wide`)}
  />
  <label class="min-w-0">
    <span class="muted block pb-0.5 text-[12px]">Columns</span>
    <select
      class="field w-full"
      value={band.columns?.length ?? 0}
      onchange={(e) =>
        void bench.edit({
          kind: 'set-columns',
          page: bench.page?.id ?? '',
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
        void bench.keep(
          set({ visible: e.currentTarget.checked }),
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
    choose={(stand) =>
      void bench.keep(
        [{ op: 'add', path: `${bench.bandPath}/content/stand`, value: stand }],
        `Words ${stand}`,
      )}
  />
  {#if (band.columns?.length ?? 0) > 1}
    <Choice
      label="Columns"
      value={own.layout === 'auto' || !own.layout ? 'row' : own.layout}
      options={LAYOUTS}
      choose={(layout) => void bench.keep(set({ layout }), `Columns ${layout}`)}
    />
  {/if}
  <Differs {bench} item={band} fields={['height', 'padding', 'layout', 'visible']} />
</div>
