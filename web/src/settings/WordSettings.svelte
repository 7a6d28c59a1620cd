<script lang="ts">
  import type { Block, Operation, Problem } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Choice from '../parts/Choice.svelte';
  import ColourField from '../parts/ColourField.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeLength, nudgeNumber } from '../parts/lengths';
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

{#if block && lettering}
  {@const of = block}
  <div class="flex flex-col gap-2">
    {#key of.id}
      <Wording
        value={of.wording ?? ''}
        show={(text) => bench.show(set(of, 'wording', text))}
        keep={(text) => keep(of, 'wording', text, `Words: ${text.slice(0, 40) || 'none'}`)}
      />
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
      <div class="flex items-center gap-2">
        <span class="muted w-[68px] shrink-0 text-[13px]" aria-hidden="true">Size</span>
        <Field
          label="Size"
          hideLabel
          value={lettering.size ?? '17px'}
          nudge={nudgeLength}
          note="px, rem, or growing with the screen: clamp(34px, 5vw, 72px)"
          show={(text) => bench.show(set(of, 'lettering/size', text))}
          keep={(text) => keep(of, 'lettering/size', text, `Size ${text}`)}
        />
      </div>
    {/key}
    <ColourField
      label="Colour"
      value={lettering.colour ?? '#000000'}
      palette={bench.site?.palette ?? []}
      show={(colour) => bench.show(set(of, 'lettering/colour', colour))}
      keep={(colour) => keep(of, 'lettering/colour', colour, `Words in ${colour}`)}
    />
    <Choice
      label="Set"
      value={lettering.align ?? bench.band?.content?.align ?? 'start'}
      options={ALIGNS}
      choose={(align) => void keep(of, 'lettering/align', align, `Words ${align}`)}
    />
  </div>
{:else}
  <p class="muted">There are no words on this band.</p>
{/if}
