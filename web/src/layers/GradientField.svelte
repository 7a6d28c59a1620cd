<script lang="ts">
  /** A gradient: its kind, the dial or centre over itself, its stops, and what can be done with all of them. */
  import type { Gradient, Problem, Stop } from '../api/types';
  import Choice from '../parts/Choice.svelte';
  import ColourField from '../parts/ColourField.svelte';
  import Field from '../parts/Field.svelte';
  import { nudgeSigned } from '../parts/lengths';
  import NumberField from '../parts/NumberField.svelte';
  import { evenly, hard, mirrored, places, reversed } from './gradient';
  import GradientPad from './GradientPad.svelte';
  import StopBar from './StopBar.svelte';
  import { useBench } from '../state/context';

  type Props = {
    value: Gradient;
    show: (gradient: Gradient) => void;
    keep: (gradient: Gradient, label: string) => unknown;
  };
  let { value, show, keep }: Props = $props();
  const { findings, selection } = useBench();

  const SHAPES = [
    { value: 'linear', name: 'straight' },
    { value: 'radial', name: 'round' },
    { value: 'conic', name: 'turning' },
  ] as const;
  const EXTENTS = [
    { value: 'farthest-corner', name: 'farthest corner' },
    { value: 'farthest-side', name: 'farthest side' },
    { value: 'closest-corner', name: 'nearest corner' },
    { value: 'closest-side', name: 'nearest side' },
  ] as const;
  let chosen = $state(0);
  const n = $derived(Math.min(chosen, value.stops.length - 1));
  const stop = $derived(value.stops[n]);
  const view = $derived(findings.areaViews[0]?.areas.find((a) => a.area === selection.area?.id)?.box);
  const proportion = $derived(view ? (view[2] ?? 1) / Math.max(1, view[3] ?? 1) : 2);
  const page = $derived(selection.page?.backdrop?.base ?? '#ffffff');

  type Part = Partial<Gradient>;
  const shown = (part: Part) => show({ ...value, ...part });
  const kept = (part: Part, label: string) => keep({ ...value, ...part }, label) as Promise<Problem | null>;
  const all = (stops: Stop[], label: string) => kept({ stops }, label);
  const withIt = (part: Partial<Stop>) => value.stops.map((s, m) => (m === n ? { ...s, ...part } : s));
  const ended = (colour: string) => [...value.stops.slice(0, -1), { ...value.stops.at(-1), colour }];
  const nothing = () => `${(value.stops.at(-2)?.colour ?? '#000000').slice(0, 7)}00`;

  async function typedStop(part: Partial<Stop>, label: string) {
    const done = keep({ ...value, stops: withIt(part) }, label);
    return (await done) as Problem | null;
  }
</script>

<div class="flex gap-4">
  <div class="flex shrink-0 flex-col gap-1">
    <GradientPad gradient={value} {proportion} show={shown} keep={(part, label) => kept(part, label)} />
    {#if value.shape !== 'radial'}
      <div class="w-[80px]">
        <NumberField
          label={value.shape === 'conic' ? 'Begins at' : 'Runs to'}
          value={value.angle ?? 180}
          unit="°"
          least={-360}
          most={360}
          show={(angle) => shown({ angle })}
          keep={async (angle) => (await keep({ ...value, angle }, `turn to ${angle}°`)) as null}
        />
      </div>
    {/if}
    <div class="flex flex-col text-small">
      {#each [['repeating', 'again and again'], ...(value.shape === 'radial' ? [['round', 'a circle']] : [])] as [name, words] (name)}
        <label class="flex min-h-6 items-center gap-1.5">
          <input
            type="checkbox"
            class="h-4 w-4"
            checked={Boolean(value[name as 'repeating' | 'round'])}
            onchange={(e) => kept({ [name as string]: e.currentTarget.checked }, words ?? '')}
          />
          {words}
        </label>
      {/each}
      <label
        class="flex min-h-6 items-center gap-1.5"
        title="mixed in OKLab: clean tones between far colours"
      >
        <input
          type="checkbox"
          class="h-4 w-4"
          checked={value.space === 'oklab'}
          onchange={(e) => kept({ space: e.currentTarget.checked ? 'oklab' : 'srgb' }, 'mixing')}
        /> clean tones between
      </label>
    </div>
  </div>
  <div class="min-w-0 flex-1">
    <div class="flex items-center gap-3 pb-1.5">
      <Choice
        label="Kind"
        short
        value={value.shape ?? 'linear'}
        options={SHAPES}
        choose={(shape) => kept({ shape }, SHAPES.find((s) => s.value === shape)?.name ?? '')}
      />
      {#if value.shape === 'radial'}
        <select
          class="field"
          aria-label="How far it reaches"
          value={value.extent ?? 'farthest-corner'}
          onchange={(e) => kept({ extent: e.currentTarget.value as Gradient['extent'] }, 'reach')}
        >
          {#each EXTENTS as { value: extent, name } (extent)}<option value={extent}>{name}</option>{/each}
        </select>
      {/if}
    </div>
    <StopBar
      gradient={value}
      chosen={n}
      choose={(m) => (chosen = m)}
      show={(stops) => shown({ stops })}
      keep={all}
    />
    {#if stop}
      {#key n}
        <div class="flex items-center gap-2">
          <ColourField
            tight
            label="Stop {n + 1}"
            value={stop.colour}
            show={(colour) => shown({ stops: withIt({ colour }) })}
            keep={(colour) => typedStop({ colour }, `stop ${n + 1} in ${colour}`)}
          />
          <Field
            label="Place of stop {n + 1}"
            hideLabel
            width="66px"
            value={stop.at ?? `${Math.round(places(value.stops)[n] ?? 0)}%`}
            nudge={nudgeSigned}
            note="where it stands: %, px; two at one place make a hard edge"
            show={(at) => shown({ stops: withIt({ at }) })}
            keep={(at) => typedStop({ at }, `stop ${n + 1} at ${at}`)}
          />
          {#if value.stops.length > 2}
            <button
              type="button"
              class="quiet act"
              onclick={() =>
                all(
                  value.stops.filter((_, m) => m !== n),
                  'remove a stop',
                )}>Remove</button
            >
          {/if}
        </div>
      {/key}
    {/if}
    <div class="whole -ml-1.5 flex flex-wrap">
      <button type="button" class="quiet" onclick={() => all(evenly(value.stops), 'spread evenly')}
        >Spread evenly</button
      >
      <button type="button" class="quiet" onclick={() => all(reversed(value.stops), 'reverse')}
        >Reverse</button
      >
      <button type="button" class="quiet" onclick={() => all(mirrored(value.stops), 'mirror')}>Mirror</button>
      <button type="button" class="quiet" onclick={() => all(hard(value.stops), 'hard edges')}
        >Hard edges</button
      >
      <button type="button" class="quiet" onclick={() => all(ended(nothing()) as Stop[], 'end in nothing')}
        >To nothing</button
      >
      <button
        type="button"
        class="quiet"
        title="End in the page's own colour"
        onclick={() => all(ended(page) as Stop[], "end in the page's colour")}>To the page's colour</button
      >
    </div>
  </div>
</div>

<style>
  .whole .quiet {
    padding: 2px 6px;
    font-size: var(--text-small);
  }
</style>
