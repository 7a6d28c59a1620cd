<script lang="ts">
  /** The whole picture with the window every screen cuts from it. */
  import { isFilm, picturesOf, spotted, thumbOf } from '../layers/members';
  import { on } from '../state/screens';
  import Scope from '../parts/Scope.svelte';
  import Parts from './Parts.svelte';
  import type { Rect } from './geometry';
  import Sheet, { type Mode } from './Sheet.svelte';
  import WindowList from './WindowList.svelte';
  import { DOUBT, doubtful, SURENESS } from './sureness';
  import { useBench } from '../state/context';
  import type { Values } from '../state/editor';
  import { put } from '../state/target';
  import { whole } from '../parts/whole';

  const { doc, edits, findings, place, selection } = useBench();

  let mode = $state<Mode>('focal');
  let map = $state(false);

  const choices = $derived(
    selection.areas.flatMap((area) =>
      (area.backdrop.layers ?? [])
        .flatMap((one) => picturesOf(one).map((layer) => ({ one, layer })))
        .map(({ one, layer }) => ({
          card: one.id,
          area,
          layer,
          name: `${area.band && area.column ? `${area.band.name}, ` : ''}${area.name}: ${layer.name}`,
        })),
    ),
  );
  const layer = $derived(selection.framed);
  const asset = $derived(doc.site?.assets?.find((a) => a.id === layer?.asset));
  const sheet = $derived(findings.framing?.layer === layer?.id ? findings.framing : null);
  const own = $derived(layer ? on(layer, selection.scope) : null);
  const ids = $derived({
    page: selection.page?.id ?? '',
    area: selection.area?.id ?? '',
    layer: layer?.id ?? '',
  });
  const already = $derived(
    own !== null &&
      sheet !== null &&
      Math.hypot((own.focal?.[0] ?? 0.5) - sheet.focal[0], (own.focal?.[1] ?? 0.5) - sheet.focal[1]) < 0.002,
  );

  const asks = $derived(sheet !== null && own !== null && doubtful(sheet, own.focal));

  $effect(() => {
    if (layer || selection.areas.length === 0) return;
    const first = choices.find((c) => c.area.id === selection.area?.id) ?? choices[0];
    if (first) choose(first);
  });

  function choose({ area, card, layer: picture }: (typeof choices)[number]): void {
    selection.choose(area.id, card);
    if (card !== picture.id) selection.chooseMember(picture.id);
  }

  const set = (values: Values, screen = selection.scope) =>
    put(selection.layerTarget(layer?.id ?? ''), values, screen);

  function drawn(rect: Rect): void {
    if (mode === 'crop') void edits.keep(set({ crop: rect }), `Crop of ${layer?.name}`);
    if (mode === 'part' && asset) {
      const parts = asset.parts ?? [];
      const taken = new Set(parts.map((p) => p.id));
      let n = parts.length + 1;
      while (taken.has(`part-${n}`)) n += 1;
      const part = { id: `part-${n}`, name: `Part ${n}`, box: rect };
      void edits.keep(
        put({ list: 'assets', item: asset.id }, { parts: [...parts, part] }),
        `Keep ${part.name} in sight`,
      );
    }
    mode = 'focal';
  }
</script>

<main class="framing">
  <section aria-label="Framing sheet" class="flex min-h-0 min-w-0 flex-col gap-2">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <h2 class="display-face text-head">Framing</h2>
      {#if choices.length > 0}
        <select
          {@attach whole}
          class="field max-w-72"
          aria-label="Which picture"
          value={layer?.id ?? ''}
          onchange={(e) => {
            const found = choices.find((c) => c.layer.id === e.currentTarget.value);
            if (found) choose(found);
          }}
        >
          {#each choices as { layer: one, name } (one.id)}<option value={one.id}>{name}</option>{/each}
        </select>
      {/if}
      <Scope differs={Object.keys(layer?.screens ?? {})} />
      <label class="ml-auto flex items-center gap-1.5">
        <input type="checkbox" class="h-4 w-4" bind:checked={map} /> what matters
      </label>
    </div>
    {#if layer && asset && own}
      <Sheet
        picture={thumbOf(asset, layer, true)}
        proportion={asset.width / asset.height}
        framing={sheet}
        parts={asset.parts ?? []}
        focal={[own.focal?.[0] ?? 0.5, own.focal?.[1] ?? 0.5]}
        crop={own.crop ?? null}
        {map}
        {mode}
        show={(spot, screen) => edits.show(set(spotted(layer, spot), screen ?? selection.scope))}
        keep={(spot, screen) =>
          edits.keep(set(spotted(layer, spot), screen ?? selection.scope), `Focal point of ${layer.name}`)}
        {drawn}
      />
    {:else if choices.length === 0}
      <div class="grid flex-1 place-items-center">
        <p class="text-center">
          There is no picture on this page yet.<br />
          <button type="button" class="btn btn-primary mt-3" onclick={() => place.go('shelf')}
            >Choose one from the shelf</button
          >
        </p>
      </div>
    {/if}
  </section>

  <section aria-label="Windows and parts" class="foot-room flex min-h-0 flex-col gap-3 overflow-y-auto pb-4">
    {#if layer && asset && own}
      <div class="flex flex-wrap gap-2">
        <button
          type="button"
          class="btn btn-primary h-[30px] min-h-0 px-3"
          disabled={already}
          onclick={() => void edits.edit({ kind: 'best-focal', ...ids })}
          >{already ? 'This is the best focal point' : 'Best focal point for all'}</button
        >
        <button
          type="button"
          class="btn btn-outline h-[30px] min-h-0 px-3"
          aria-pressed={mode === 'part'}
          onclick={() => (mode = mode === 'part' ? 'focal' : 'part')}>Mark a part to keep</button
        >
        {#if !isFilm(layer)}
          <button
            type="button"
            class="btn btn-outline h-[30px] min-h-0 px-3"
            aria-pressed={mode === 'crop'}
            onclick={() => (mode = mode === 'crop' ? 'focal' : 'crop')}>Crop</button
          >
        {/if}
      </div>
      <p class="muted text-small" role="status">
        {#if mode === 'part'}Draw a box around what should stay in sight on every screen.
        {:else if mode === 'crop'}Draw the part of the picture that is used{selection.scope
            ? ' on this screen'
            : ''}.
        {:else if asks}{DOUBT} Tap what must stay in sight; or drag a screen's name to give that screen its own.
        {:else}{sheet ? SURENESS[sheet.sureness] : ''} Drag the diamond to the spot that stays in sight, or a screen's
          name to give that screen its own.{/if}
        {#if own.crop}
          <button
            type="button"
            class="act cursor-pointer"
            onclick={() =>
              void edits.keep(
                set({ crop: selection.scope ? { x: 0, y: 0, width: 1, height: 1 } : null }),
                'The whole picture',
              )}>Use the whole picture again</button
          >
        {/if}
      </p>
      <WindowList {layer} {asset} framing={sheet} />
      <Parts {asset} framing={sheet} />
      {#if sheet}
        <div>
          <h3 class="font-semibold">What suits this picture</h3>
          <p class="text-small">{sheet.advice} It is {sheet.mood}.</p>
          {#if !sheet.advised}
            <button
              type="button"
              class="quiet act px-0"
              onclick={() => void edits.edit({ kind: 'follow-advice', ...ids })}>Do that</button
            >
          {/if}
        </div>
      {/if}
    {/if}
  </section>
</main>

<style>
  .framing {
    display: grid;
    flex: 1;
    grid-template-columns: minmax(0, 1fr) 380px;
    gap: 24px;
    min-height: 0;
    padding: 12px 24px;
  }
  @container frame (max-width: 900px) {
    .framing {
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: clamp(200px, 52cqh, 68cqw + 84px) auto;
      padding: 8px 16px;
      overflow-y: auto;
    }
  }
</style>
