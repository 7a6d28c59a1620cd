<script lang="ts">
  /** One picture: its facts, where it is used, and what can be done with it. */
  import type { Picture } from '../api/types';
  import { second } from '../layers/members';
  import { weight } from '../parts/weight';
  import TileBench from './TileBench.svelte';
  import { useBench } from '../state/context';
  import { whole } from '../parts/whole';

  type Props = {
    picture: Picture | null;
    all: Picture[];
    choose: (asset: string) => void;
  };
  let { picture, all, choose }: Props = $props();
  const { doc, edits, place, selection, uploads } = useBench();

  let other = $state('');
  const asset = $derived(doc.site?.assets?.find((a) => a.id === picture?.asset));
  const others = $derived(all.filter((p) => p.asset !== picture?.asset));

  function show(): void {
    if (asset) void uploads.lay(asset, null, () => place.go('bench'));
  }

  function replace(): void {
    if (picture && other)
      void edits.edit({ kind: 'replace-picture', old: picture.asset, new: other }, choose);
    other = '';
  }
</script>

<section aria-label="The chosen picture" class="foot-room flex min-h-0 flex-col gap-3 overflow-y-auto pb-3">
  {#if picture && asset}
    <div>
      <h3 class="display-face text-title [overflow-wrap:anywhere]">{picture.name}</h3>
      <p>
        {picture.width} × {picture.height} px, {weight(picture.bytes)}, {picture.type.toUpperCase()},
        {#if picture.duration > 0}{second(picture.duration)} long,{/if}
        {picture.orientation}, {picture.mood}
      </p>
      {#if !picture.intact}
        <p class="text-error" role="alert">
          Its file is damaged on the disk: its bytes are not what they were. Drop the same file here again to
          heal it. Until then nothing is handed out with it.
        </p>
      {/if}
      {#if picture.note}<p class="note">{picture.note}</p>{/if}
      {#if picture.credit}<p class="muted text-small">Credit: {picture.credit}</p>{/if}
    </div>
    <ul class="flex flex-wrap gap-2" aria-label="Main colours">
      {#each picture.colours as c (c.colour)}
        <li class="flex items-center gap-1 text-small" title={c.name}>
          <span class="swatch" style:background={c.colour}></span>{c.colour}
          <span class="muted">{Math.round(c.share * 100)} %</span>
        </li>
      {/each}
    </ul>
    <button type="button" class="btn btn-primary h-[32px] min-h-0 self-start" onclick={show}
      >Show it behind {selection.area?.name ?? 'the words'}</button
    >
    <div>
      <h4 class="font-semibold">Where it is used</h4>
      {#if picture.uses.length === 0}
        <p class="muted">Nowhere yet.</p>
      {:else}
        <ul class="list-disc pl-5 text-small">
          {#each picture.uses as use (use.page + use.area + use.item)}<li>{use.words}</li>{/each}
        </ul>
        <div class="flex gap-2 pt-2">
          <select {@attach whole} class="field min-w-0 flex-1" aria-label="Replace with" bind:value={other}>
            <option value="">Everywhere instead of it …</option>
            {#each others as p (p.asset)}<option value={p.asset}>{p.name}</option>{/each}
          </select>
          <button type="button" class="btn btn-outline h-[30px] min-h-0" disabled={!other} onclick={replace}
            >Replace</button
          >
        </div>
      {/if}
    </div>
    {#if picture.seams}<TileBench {picture} {asset} {choose} />{/if}
    <button
      type="button"
      class="quiet act self-start px-0"
      onclick={() => void edits.edit({ kind: 'remove-picture', asset: picture.asset })}
      >Take it off the shelf</button
    >
  {:else}
    <p class="muted pt-1">
      Choose a picture to see its colours, where it is used, its seams; to show it, replace it everywhere or
      take it off the shelf.
    </p>
  {/if}
</section>

<style>
  .swatch {
    width: 18px;
    height: 18px;
    border: 1px solid var(--color-neutral);
  }
  .note {
    padding-left: 8px;
    border-left: 4px solid var(--color-info);
    font-size: var(--text-small);
  }
</style>
