<script lang="ts">
  /**
   * The whole colour control: the picture's own colours from dark to light first, the site's, recent ones, a field of
   * all hues, numbers, transparency, and a colour off a screen. The core reads every notation.
   */
  import * as client from '../api/client';
  import { Refused } from '../api/client';
  import type { Colour, Problem } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import Strength from './Strength.svelte';

  type Props = {
    bench: Bench;
    label: string;
    value: string;
    show: (colour: string) => void;
    keep: (colour: string) => Promise<Problem | null>;
    words?: string | null;
  };
  let { bench, label, value, show, keep, words = null }: Props = $props();

  const LIGHTS = [0.18, 0.28, 0.38, 0.48, 0.58, 0.68, 0.78, 0.87, 0.95];
  let read = $state.raw<Colour | null>(null);
  let own = $state.raw<Colour[]>([]);
  let problem = $state('');
  const alpha = $derived(read?.alpha ?? 1);
  const worst = $derived.by(() => {
    const mine = bench.readings.filter((r) => r.block === words && r.ratio !== null);
    return mine.toSorted((a, b) => (a.ratio ?? 0) / a.required - (b.ratio ?? 0) / b.required)[0];
  });

  $effect(() => {
    client
      .colour(value)
      .then((found) => (read = found))
      .catch(() => {});
  });

  $effect(() => {
    const area = bench.area?.id;
    if (!area) return;
    client
      .pictureColours({ ...bench.asked, patch: [], area })
      .then((found) => Promise.all(found.slice(0, 5).map(client.colour)))
      .then((found) => (own = found))
      .catch(() => {});
  });

  async function take(text: string): Promise<void> {
    problem = '';
    try {
      const found = await client.colour(text);
      await keep(found.hex);
    } catch (error) {
      if (error instanceof Refused) problem = error.problem.message;
    }
  }

  /** `oklch()` with the present transparency. */
  const oklch = (light: number, chroma: number, hue: number) =>
    `oklch(${light.toFixed(4)} ${chroma.toFixed(4)} ${hue.toFixed(1)} / ${alpha})`;

  function pick(event: MouseEvent & { currentTarget: HTMLElement }): void {
    const box = event.currentTarget.getBoundingClientRect();
    const hue = ((event.clientX - box.left) / box.width) * 360;
    const light = 1 - (event.clientY - box.top) / box.height;
    void take(oklch(light, Math.max(0.09, read?.oklch[1] ?? 0), hue));
  }

  function step(event: KeyboardEvent): void {
    const moves: Record<string, [number, number]> = {
      ArrowLeft: [-3, 0],
      ArrowRight: [3, 0],
      ArrowUp: [0, 0.01],
      ArrowDown: [0, -0.01],
    };
    const by = moves[event.key];
    if (!by || !read) return;
    event.preventDefault();
    const [light, chroma, hue] = read.oklch;
    void take(oklch(Math.min(1, Math.max(0, light + by[1])), Math.max(0.02, chroma), hue + by[0]));
  }

  function typed(kind: 'hsl' | 'oklch', at: number, text: string): void {
    const next = Number.parseFloat(text.replace(',', '.'));
    if (!read || !Number.isFinite(next)) return;
    const [a, b, c] = read[kind].map((v, n) => (n === at ? next : v)) as [number, number, number];
    void take(kind === 'hsl' ? `hsl(${a} ${b}% ${c}% / ${alpha})` : oklch(a, b, c));
  }

  const faded = (part: number) => {
    const digits = Math.round(part * 255)
      .toString(16)
      .padStart(2, '0');
    return (read?.hex ?? '#000000').slice(0, 7) + (part < 1 ? digits : '');
  };
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
            onclick={() => void take(text)}
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
    onclick={pick}
    onkeydown={step}
  >
    {#if read}
      <span class="mark" style:left="{(read.oklch[2] / 360) * 100}%" style:top="{(1 - read.oklch[0]) * 100}%"
      ></span>
    {/if}
  </div>
  <div class="flex gap-1">
    {#each [...(bench.site?.palette ?? []), ...bench.eyedropper.recent] as colour, n (n)}
      <button
        type="button"
        class="dab"
        style:background={colour}
        aria-label="{label}: {colour}"
        title="{colour}{n < (bench.site?.palette?.length ?? 0) ? ', of the site' : ', just used'}"
        onclick={() => void take(colour)}
      ></button>
    {/each}
  </div>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1">
    {#each NUMBERS as { kind, names, units } (kind)}
      <div class="flex items-center gap-1" role="group" aria-label={kind.toUpperCase()}>
        <span class="muted w-[44px] text-[12px]">{kind.toUpperCase()}</span>
        {#each names as name, n (name)}
          <input
            class="field num"
            aria-label="{kind} {name}"
            title={name}
            value={`${Math.round((read?.[kind][n] ?? 0) * 1000) / 1000}${units[n]}`}
            onchange={(e) => typed(kind, n, e.currentTarget.value)}
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
    keep={(part) => void keep(faded(part))}
  />
  <div class="flex items-center gap-3">
    <button
      type="button"
      class="btn btn-outline h-[28px] min-h-0 px-2"
      onclick={() => bench.eyedropper.ask((colour) => void keep(colour))}>Take it off a screen</button
    >
    {#if worst}
      <span class={worst.meets ? 'text-success' : 'text-warning'}>
        <b>{worst.shown}</b> of {worst.required}{worst.meets ? ', can be read' : ', short'}
      </span>
      <span class="muted truncate text-[12px]">{worst.name}</span>
    {/if}
  </div>
  {#if bench.eyedropper.taker}
    <p role="status">Press on a spot of a screen; Esc leaves it.</p>
  {:else if bench.eyedropper.seen}
    <p class="muted">
      {bench.eyedropper.seen.colour} there is made of {bench.eyedropper.seen.layers.join(', ')}.
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
    width: 380px;
    font-size: 12.5px;
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
  .num {
    width: 43px;
    padding: 2px 3px;
    font-size: 12px;
    text-align: right;
  }
</style>
