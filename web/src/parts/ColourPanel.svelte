<script lang="ts">
  /**
   * The whole colour control: the picture's own colours from dark to light first, the site's, recent ones, a field of
   * all hues, numbers, transparency, and a colour off a screen. The core reads every notation; one question to it is
   * under way at a time, and of those that come meanwhile only the newest is asked.
   */
  import { onMount } from 'svelte';
  import * as client from '../api/client';
  import { Refused } from '../api/answer';
  import type { Colour, Problem } from '../api/types';
  import { useBench } from '../state/context';
  import { Latest } from '../state/latest';
  import Field from './Field.svelte';
  import { numberIn } from './numbers';
  import { pull, type Spot } from './pull';
  import Strength from './Strength.svelte';

  type Props = {
    label: string;
    value: string;
    show: (colour: string) => void;
    keep: (colour: string) => Promise<Problem | null>;
    words?: string | null;
  };
  let { label, value, show, keep, words = null }: Props = $props();
  const { doc, edits, selection, findings, eyedropper } = useBench();

  const LIGHTS = [0.18, 0.28, 0.38, 0.48, 0.58, 0.68, 0.78, 0.87, 0.95];
  const asking = new Latest();
  /** What the value is, is asked apart: it must not come in the way of a colour that was chosen meanwhile. */
  const reading = new Latest();
  let read = $state.raw<Colour | null>(null);
  let own = $state.raw<Colour[]>([]);
  let problem = $state('');
  /** Where the field of hues is being pulled. */
  let pulled = $state.raw<[number, number] | null>(null);
  const alpha = $derived(read?.alpha ?? 1);
  const worst = $derived.by(() => {
    const mine = findings.readings.filter((r) => r.block === words && r.ratio !== null);
    return mine.toSorted((a, b) => (a.ratio ?? 0) / a.required - (b.ratio ?? 0) / b.required)[0];
  });

  $effect(() => {
    const wanted = value;
    if (read?.hex === wanted) return;
    reading.run(async () => {
      const found = await client.colour(wanted).catch(() => read);
      if (value === wanted) read = found;
    });
  });

  onMount(() => {
    const area = selection.area?.id;
    if (!area) return;
    client
      .pictureColours({ ...selection.asked, patch: [], area })
      .then((found) => Promise.all(found.slice(0, 5).map(client.colour)))
      .then((found) => (own = found))
      .catch(() => {});
  });

  /** Have a notation read, and show or keep what it comes to. */
  function take(text: string, then: (colour: string) => unknown): void {
    problem = '';
    asking.run(async () => {
      try {
        read = await client.colour(text);
        await then(read.hex);
      } catch (error) {
        if (error instanceof Refused) problem = error.problem.message;
      }
    });
  }

  /** `oklch()` with the present transparency. */
  const oklch = (light: number, chroma: number, hue: number) =>
    `oklch(${light.toFixed(4)} ${chroma.toFixed(4)} ${hue.toFixed(1)} / ${alpha})`;
  const held = (v: number) => Math.min(1, Math.max(0, v));
  const at = ({ x, y }: Spot) => {
    pulled = [held(x), held(y)];
    return oklch(1 - held(y), Math.max(0.09, read?.oklch[1] ?? 0), held(x) * 360);
  };

  const field = pull({
    move: (spot) => take(at(spot), show),
    end: (spot) => {
      take(at(spot), keep);
      pulled = null;
    },
    cancel: () => {
      pulled = null;
      edits.forget();
    },
    nudge: (right, down) => {
      if (!read) return;
      const [light, chroma, hue] = read.oklch;
      take(oklch(held(light - down * 0.01), Math.max(0.02, chroma), (hue + right * 3 + 360) % 360), keep);
    },
  });

  async function typed(
    kind: 'hsl' | 'oklch',
    n: number,
    text: string,
    unit: string,
  ): Promise<Problem | null> {
    const next = numberIn(text, unit);
    if (next === null || !read) return { kind: 'number', message: `"${text}" is no number.`, path: '$' };
    const [a, b, c] = read[kind].map((v, m) => (m === n ? next : v)) as [number, number, number];
    take(kind === 'hsl' ? `hsl(${a} ${b}% ${c}% / ${alpha})` : oklch(a, b, c), keep);
    return null;
  }

  const faded = (part: number) => {
    const digits = Math.round(part * 255)
      .toString(16)
      .padStart(2, '0');
    return (read?.hex ?? '#000000').slice(0, 7) + (part < 1 ? digits : '');
  };
  const mark = $derived(pulled ?? (read ? [read.oklch[2] / 360, 1 - read.oklch[0]] : null));
  const NUMBERS = [
    { kind: 'hsl', names: ['hue', 'saturation', 'lightness'], units: ['°', '%', '%'] },
    { kind: 'oklch', names: ['lightness', 'chroma', 'hue'], units: ['', '', '°'] },
  ] as const;
</script>

<div class="panel">
  {#if own.length > 0}
    <p class="muted">The picture's own colours, from dark to light</p>
    <div class="grid" style:grid-template-columns="repeat({LIGHTS.length}, 1fr)">
      {#each own as colour (colour.hex)}
        {#each LIGHTS as light (light)}
          {@const text = oklch(light, colour.oklch[1], colour.oklch[2])}
          <button
            type="button"
            class="tint"
            style:background={text}
            aria-label="{label}: a tone of {colour.hex}, lightness {Math.round(light * 100)} %"
            onclick={() => take(text, keep)}
          ></button>
        {/each}
      {/each}
    </div>
  {/if}
  <div
    class="hues"
    role="slider"
    tabindex="0"
    aria-label="{label}: hue across, lightness up"
    aria-valuenow={Math.round(read?.oklch[2] ?? 0)}
    aria-valuetext="hue {Math.round(read?.oklch[2] ?? 0)}°, lightness {Math.round(
      (read?.oklch[0] ?? 0) * 100,
    )} %"
    {@attach field}
  >
    {#if mark}
      <span class="mark" style:left="{(mark[0] ?? 0) * 100}%" style:top="{(mark[1] ?? 0) * 100}%"></span>
    {/if}
  </div>
  <div class="flex gap-1">
    {#each [...doc.palette, ...eyedropper.recent] as colour, n (n)}
      <button
        type="button"
        class="dab"
        style:background={colour}
        aria-label="{label}: {colour}"
        title="{colour}{n < doc.palette.length ? ', of the site' : ', just used'}"
        onclick={() => take(colour, keep)}
      ></button>
    {/each}
  </div>
  <div class="flex flex-col gap-1">
    {#each NUMBERS as { kind, names, units } (kind)}
      <div class="flex items-center gap-1" role="group" aria-label={kind.toUpperCase()}>
        <span class="muted w-[56px] text-small">{kind.toUpperCase()}</span>
        {#each names as name, n (name)}
          <Field
            label="{kind} {name}"
            hideLabel
            width="104px"
            align="right"
            note={name}
            value={`${Math.round((read?.[kind][n] ?? 0) * 1000) / 1000}${units[n]}`}
            keep={(text) => typed(kind, n, text, units[n] ?? '')}
          />
        {/each}
      </div>
    {/each}
  </div>
  <Strength
    label="Opacity"
    value={alpha}
    ink={faded(1)}
    show={(part) => show(faded(part))}
    keep={(part) => keep(faded(part))}
  />
  <div class="flex items-center gap-3">
    <button
      type="button"
      class="btn btn-outline h-[28px] min-h-0 px-2"
      onclick={() => eyedropper.ask((colour) => void keep(colour))}>Take it off a screen</button
    >
    {#if worst}
      <span class={worst.verdict === 'short' ? 'text-warning' : 'text-success'}>
        <b>{worst.shown}</b> of {worst.required}{worst.verdict === 'short' ? ', short' : ', can be read'}
      </span>
      <span class="muted truncate text-small">{worst.name}</span>
    {/if}
  </div>
  {#if eyedropper.taker}
    <p role="status">Press on a spot of a screen; Esc leaves it.</p>
  {:else if eyedropper.seen}
    <p class="muted">
      {eyedropper.seen.colour} there is made of {eyedropper.seen.layers.join(', ')}.
    </p>
  {/if}
  {#if read?.fitted}<p class="muted">It was brought into what screens can show.</p>{/if}
  {#if problem}<p role="alert" class="text-error">{problem}</p>{/if}
</div>

<style>
  .panel {
    display: flex;
    flex-direction: column;
    gap: 7px;
    font-size: var(--text-small);
  }
  .tint {
    height: 20px;
    cursor: pointer;
  }
  .hues {
    position: relative;
    height: 76px;
    cursor: crosshair;
    border: 1px solid var(--color-base-300);
    background:
      linear-gradient(to bottom, white, transparent 50%, black),
      linear-gradient(in oklch longer hue to right, oklch(0.68 0.14 0), oklch(0.68 0.14 360));
  }
  .mark {
    position: absolute;
    width: 10px;
    height: 10px;
    margin: -5px;
    border: 2px solid white;
    outline: 1.5px solid black;
    border-radius: 50%;
    pointer-events: none;
  }
  .dab {
    flex: 1 1 24px;
    max-width: 28px;
    height: 24px;
    border: 1px solid var(--color-neutral);
    cursor: pointer;
  }
</style>
