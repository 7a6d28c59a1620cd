<script lang="ts">
  /** The whole picture with the window every screen cuts from it. */
  import type { ImageLayer, Operation } from '../api/types';
  import type { Bench } from '../bench/bench.svelte';
  import { on, setting } from '../bench/exceptions';
  import Scope from '../parts/Scope.svelte';
  import Parts from './Parts.svelte';
  import type { Rect } from './geometry';
  import Sheet, { type Mode } from './Sheet.svelte';
  import WindowList from './WindowList.svelte';

  let { bench, toShelf }: { bench: Bench; toShelf: () => void } = $props();

  let mode = $state<Mode>('focal');
  let map = $state(false);

  const choices = $derived(
    bench.areas.flatMap((area) =>
      (area.backdrop.layers ?? [])
        .filter((l): l is ImageLayer => l.kind === 'image')
        .map((layer) => ({
          area,
          layer,
          name: `${area.band && area.column ? `${area.band.name}, ` : ''}${area.name}: ${layer.name}`,
        })),
    ),
  );
  const layer = $derived(bench.layer?.kind === 'image' ? bench.layer : null);
  const asset = $derived(bench.site?.assets?.find((a) => a.id === layer?.asset));
  const sheet = $derived(bench.framing?.layer === layer?.id ? bench.framing : null);
  const own = $derived(layer ? on(layer, bench.scope) : null);
  const assetPath = $derived(`/assets/${bench.site?.assets?.findIndex((a) => a.id === asset?.id) ?? 0}`);
  const ids = $derived({ page: bench.page?.id ?? '', area: bench.area?.id ?? '', layer: layer?.id ?? '' });
  const already = $derived(
    own !== null &&
      sheet !== null &&
      Math.hypot((own.focal?.[0] ?? 0.5) - sheet.focal[0], (own.focal?.[1] ?? 0.5) - sheet.focal[1]) < 0.002,
  );

  $effect(() => {
    if (layer || bench.areas.length === 0) return;
    const first = choices.find((c) => c.area.id === bench.area?.id) ?? choices[0];
    if (first) bench.choose(first.area.id, first.layer.id);
  });

  const set = (values: Record<string, unknown>, screen = bench.scope): Operation[] =>
    layer ? setting(bench.layerPath(layer.id), layer, values, screen) : [];

  function drawn(rect: Rect): void {
    if (mode === 'crop') void bench.keep(set({ crop: rect }), `Crop of ${layer?.name}`);
    if (mode === 'part' && asset) {
      const parts = asset.parts ?? [];
      const taken = new Set(parts.map((p) => p.id));
      let n = parts.length + 1;
      while (taken.has(`part-${n}`)) n += 1;
      const part = { id: `part-${n}`, name: `Part ${n}`, box: rect };
      void bench.keep(
        [{ op: 'add', path: `${assetPath}/parts`, value: [...parts, part] }],
        `Keep ${part.name} in sight`,
      );
    }
    mode = 'focal';
  }
</script>

<main class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_380px] gap-6 px-6 py-3">
  <section aria-label="Framing sheet" class="flex min-h-0 min-w-0 flex-col gap-2">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <h2 class="display-face text-[18px]">Framing</h2>
      {#if choices.length > 0}
        <select
          class="field max-w-72"
          aria-label="Which picture"
          value={layer?.id ?? ''}
          onchange={(e) => {
            const found = choices.find((c) => c.layer.id === e.currentTarget.value);
            if (found) bench.choose(found.area.id, found.layer.id);
          }}
        >
          {#each choices as { layer: one, name } (one.id)}<option value={one.id}>{name}</option>{/each}
        </select>
      {/if}
      <Scope {bench} differs={Object.keys(layer?.screens ?? {})} />
      <label class="ml-auto flex items-center gap-1.5">
        <input type="checkbox" class="h-4 w-4" bind:checked={map} /> busy parts
      </label>
    </div>
    {#if layer && asset && own}
      <Sheet
        picture="/thumbs/{asset.hash.slice(0, 10)}?large"
        proportion={asset.width / asset.height}
        framing={sheet}
        parts={asset.parts ?? []}
        focal={[own.focal?.[0] ?? 0.5, own.focal?.[1] ?? 0.5]}
        crop={own.crop ?? null}
        {map}
        {mode}
        show={(spot, screen) => bench.show(set({ focal: spot, position: null }, screen ?? bench.scope))}
        keep={(spot, screen) =>
          void bench.keep(
            set({ focal: spot, position: null }, screen ?? bench.scope),
            `Focal point of ${layer.name}`,
          )}
        {drawn}
      />
    {:else if choices.length === 0}
      <div class="grid flex-1 place-items-center">
        <p class="text-center">
          There is no picture on this page yet.<br />
          <button type="button" class="btn btn-primary mt-3" onclick={toShelf}
            >Choose one from the shelf</button
          >
        </p>
      </div>
    {/if}
  </section>

  <section aria-label="Windows and parts" class="flex min-h-0 flex-col gap-3 overflow-y-auto pb-4">
    {#if layer && asset && own}
      <div class="flex flex-wrap gap-2">
        <button
          type="button"
          class="btn btn-primary h-[30px] min-h-0 px-3"
          disabled={already}
          onclick={() => void bench.edit({ kind: 'best-focal', ...ids })}
          >{already ? 'This is the best focal point' : 'Best focal point for all'}</button
        >
        <button
          type="button"
          class="btn btn-outline h-[30px] min-h-0 px-3"
          aria-pressed={mode === 'part'}
          onclick={() => (mode = mode === 'part' ? 'focal' : 'part')}>Mark a part to keep</button
        >
        <button
          type="button"
          class="btn btn-outline h-[30px] min-h-0 px-3"
          aria-pressed={mode === 'crop'}
          onclick={() => (mode = mode === 'crop' ? 'focal' : 'crop')}>Crop</button
        >
      </div>
      <p class="muted text-[12.5px]" role="status">
        {#if mode === 'part'}Draw a box around what should stay in sight on every screen.
        {:else if mode === 'crop'}Draw the part of the picture that is used{bench.scope
            ? ' on this screen'
            : ''}.
        {:else}Drag the diamond to the spot that stays in sight, or a screen's name to give that screen its
          own.{/if}
        {#if own.crop}
          <button
            type="button"
            class="act cursor-pointer"
            onclick={() =>
              void bench.keep(
                set({ crop: bench.scope ? { x: 0, y: 0, width: 1, height: 1 } : null }),
                'The whole picture',
              )}>Use the whole picture again</button
          >
        {/if}
      </p>
      <WindowList {bench} {layer} {asset} framing={sheet} />
      <Parts {bench} {asset} path={assetPath} framing={sheet} />
      {#if sheet}
        <div>
          <h3 class="font-semibold">What suits this picture</h3>
          <p class="text-[13px]">{sheet.advice} It is {sheet.mood}.</p>
          {#if !sheet.advised}
            <button
              type="button"
              class="quiet act px-0"
              onclick={() => void bench.edit({ kind: 'follow-advice', ...ids })}>Do that</button
            >
          {/if}
        </div>
      {/if}
    {/if}
  </section>
</main>
