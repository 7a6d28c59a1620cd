<script lang="ts">
  import type { Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Choice from '../parts/Choice.svelte';
  import ColourField from '../parts/ColourField.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeLength } from '../parts/lengths';
  import PictureChooser from './PictureChooser.svelte';
  import UploadList from './UploadList.svelte';

  let { bench }: { bench: Bench } = $props();

  const STANDS = [
    { value: 'start', name: 'at the top' },
    { value: 'center', name: 'in the middle' },
    { value: 'end', name: 'at the foot' },
  ] as const;

  const band = $derived(bench.band);
  const set = (field: string, value: unknown): Operation[] => [
    { op: 'add', path: `${bench.bandPath}/${field}`, value },
  ];
  const lengths = [
    { field: 'height/min', label: 'Least height', of: () => band?.height?.min ?? '0px' },
    { field: 'padding/block', label: 'Space above, below', of: () => band?.padding?.block ?? '48px' },
    { field: 'padding/inline', label: 'Space beside', of: () => band?.padding?.inline ?? '6vw' },
  ];
</script>

<div class="flex flex-col gap-2.5">
  <ColourField
    label="Colour"
    value={band?.backdrop?.base ?? '#ffffff'}
    palette={bench.site?.palette ?? []}
    show={(colour) => bench.show(set('backdrop/base', colour))}
    keep={(colour) => bench.keep(set('backdrop/base', colour), `Base in ${colour}`)}
  />
  <p class="muted text-[12.5px]">Visitors see it while the picture loads, and if it never does.</p>
  <div class="grid grid-cols-[0.65fr_1.5fr_0.65fr] gap-3">
    {#each lengths as { field, label, of } (field)}
      <Field
        {label}
        value={of()}
        nudge={nudgeLength}
        note="px, vh, vw, rem or clamp(least, wanted, most)"
        show={(text) => bench.show(set(field, text))}
        keep={(text) => bench.keep(set(field, text), `${label} ${text}`)}
      />
    {/each}
  </div>
  <Choice
    label="Words"
    value={band?.content?.stand ?? 'start'}
    options={STANDS}
    choose={(stand) => void bench.keep(set('content/stand', stand), `Words ${stand}`)}
  />
  {#if !bench.layers.some((l) => l.kind === 'image')}
    <div class="flex items-center gap-3">
      <span class="muted">No picture yet:</span><PictureChooser {bench} />
    </div>
  {/if}
  <UploadList uploads={bench.uploads} />
</div>
