<script lang="ts">
  import type { Block, Operation, Problem } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Choice from '../parts/Choice.svelte';
  import ColourField from '../parts/ColourField.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeLength, nudgeNumber } from '../parts/lengths';
  import MenuItems from './MenuItems.svelte';
  import PictureBlock from './PictureBlock.svelte';
  import SizeSetting from './SizeSetting.svelte';
  import Wording from './Wording.svelte';

  let { bench }: { bench: Bench } = $props();

  const ALIGNS = [
    { value: 'start', name: 'left' },
    { value: 'center', name: 'centred' },
    { value: 'end', name: 'right' },
  ] as const;

  const block = $derived(bench.block);
  const lettering = $derived(block?.lettering);
  const font = $derived(bench.fonts.find((f) => f.family === lettering?.font));
  const weights = $derived(
    [100, 200, 300, 400, 500, 600, 700, 800, 900].filter(
      (w) => w >= (font?.least_weight ?? 100) && w <= (font?.most_weight ?? 900),
    ),
  );
  const weight = $derived(
    Math.min(font?.most_weight ?? 900, Math.max(font?.least_weight ?? 100, lettering?.weight ?? 400)),
  );

  const set = (of: Block, field: string, value: unknown): Operation[] => [
    { op: 'add', path: `${bench.blockPath(of.id)}/${field}`, value },
  ];

  function keep(of: Block, field: string, value: unknown, label: string): Promise<Problem | null> {
    return bench.keep(set(of, field, value), label);
  }
</script>

{#if block && block.kind === 'space'}
  {@const of = block}
  <Field
    label="Height"
    value={of.height ?? '32px'}
    nudge={nudgeLength}
    show={(text) => bench.show(set(of, 'height', text))}
    keep={(text) => keep(of, 'height', text, `Space of ${text}`)}
  />
{:else if block && block.kind === 'picture'}
  {#key block.id}<PictureBlock {bench} {block} />{/key}
{:else if block && lettering}
  {@const of = block}
  <div class="flex flex-col gap-2">
    {#key of.id}
      {#if of.kind === 'menu'}
        <MenuItems {bench} block={of} />
      {:else}
        <Wording
          value={of.wording ?? ''}
          show={(text) => bench.show(set(of, 'wording', text))}
          keep={(text) => keep(of, 'wording', text, `Words: ${text.slice(0, 40) || 'none'}`)}
        />
      {/if}
      <div class="grid grid-cols-[1fr_90px_80px] gap-2">
        <label class="min-w-0">
          <span class="muted block pb-0.5 text-[12px]">Font</span>
          <select
            class="field w-full"
            value={lettering.font}
            onchange={(e) =>
              void keep(of, 'lettering/font', e.currentTarget.value, `Font ${e.currentTarget.value}`)}
          >
            {#each bench.fonts as f (f.family)}
              <option value={f.family} title={f.character}>{f.family}</option>
            {/each}
          </select>
        </label>
        <label class="min-w-0">
          <span class="muted block pb-0.5 text-[12px]">Weight</span>
          <select
            class="field w-full"
            value={weight}
            disabled={weights.length < 2}
            onchange={(e) => {
              const next = Number(e.currentTarget.value);
              void keep(of, 'lettering/weight', next, `Weight ${next}`);
            }}
          >
            {#each weights as w (w)}<option value={w}>{w}</option>{/each}
          </select>
        </label>
        <Field
          label="Line"
          value={String(lettering.line ?? 1.5)}
          nudge={nudgeNumber(0.02, 0.6, 4)}
          note="line height as a multiple of the size"
          show={(text) => bench.show(set(of, 'lettering/line', Number(text.replace(',', '.'))))}
          keep={(text) => keep(of, 'lettering/line', Number(text.replace(',', '.')), `Line height ${text}`)}
        />
      </div>
      <SizeSetting {bench} block={of} />
    {/key}
    <ColourField
      label="Colour"
      value={lettering.colour ?? '#000000'}
      palette={bench.site?.palette ?? []}
      show={(colour) => bench.show(set(of, 'lettering/colour', colour))}
      keep={(colour) => keep(of, 'lettering/colour', colour, `Words in ${colour}`)}
    />
    <div class="flex items-center gap-4">
      <Choice
        label="Set"
        value={lettering.align ?? bench.band?.content?.align ?? 'start'}
        options={ALIGNS}
        choose={(align) => void keep(of, 'lettering/align', align, `Words ${align}`)}
      />
      {#if of.kind === 'logo' || of.kind === 'text' || of.kind === 'heading'}
        <Field
          label="Link"
          hideLabel
          placeholder="Link to …"
          value={of.link ?? ''}
          note="where a click leads: a page of this site, a path, https:, mailto: or tel:"
          keep={(text) => keep(of, 'link', text || null, text ? `Link to ${text}` : 'No link')}
        />
      {/if}
    </div>
  </div>
{:else}
  <p class="muted pt-2">There are no words here yet. Add a heading or a text above.</p>
{/if}
