<script lang="ts">
  /** A tile's field at true size, its seams in numbers, and mended copies before and after. */
  import { ofSite } from '../api/site';
  import * as client from '../api/client';
  import type { Asset, Mend, Picture, Way } from '../api/types';
  import { useBench } from '../state/context';
  import { thumbAt } from '../parts/thumb';

  type Props = { picture: Picture; asset: Asset; choose: (asset: string) => void };
  let { picture, asset, choose }: Props = $props();
  const { edits, notices } = useBench();

  const WAYS: { way: Way; name: string }[] = [
    { way: 'cross-fade', name: 'Fade it into itself' },
    { way: 'mirror', name: 'Mirror it' },
  ];
  let trying = $state<Way | null>(null);
  let found = $state.raw<Mend | null>(null);
  let busy = $state(false);

  const seams = $derived(picture.seams);
  const field = $derived(
    trying ? ofSite(`/api/mended/${asset.id}/${trying}.png`) : thumbAt(asset.hash, 'large'),
  );
  const size = $derived(
    trying && found ? `${found.width}px ${found.height}px` : `${asset.width}px ${asset.height}px`,
  );

  $effect(() => {
    void asset.id;
    trying = null;
    found = null;
  });

  async function attempt(way: Way): Promise<void> {
    trying = trying === way ? null : way;
    found = null;
    if (!trying) return;
    const { id } = asset;
    try {
      const facts = await client.mendFacts(id, way);
      if (trying === way && asset.id === id) found = facts;
    } catch (error) {
      if (trying === way && asset.id === id) trying = null;
      notices.tell(error);
    }
  }

  async function keep(): Promise<void> {
    if (!trying) return;
    busy = true;
    const then = edits.unlessTurned(choose);
    try {
      const { asset: mended } = await client.mend(asset.id, trying);
      await edits.edit({ kind: 'shelve-picture', asset: mended }, then);
    } catch (error) {
      notices.tell(error);
    } finally {
      busy = false;
    }
  }
</script>

{#if seams}
  <div class="flex flex-col gap-1.5">
    <h4 class="font-semibold">As a tile, at true size</h4>
    <div
      class="field-of"
      role="img"
      aria-label="{asset.name}{trying ? ', mended' : ''}, repeated"
      style:background-image="url({field})"
      style:background-size={size}
    ></div>
    <p class="text-small" class:short={!picture.seamless && !trying}>
      {#if trying && found}
        Mended: seam across {found.before.across.figure.toFixed(2)} →
        <b>{found.after.across.figure.toFixed(2)}</b>, down {found.before.down.figure.toFixed(2)} →
        <b>{found.after.down.figure.toFixed(2)}</b>;
        {found.width} × {found.height} px.
      {:else if picture.seamless}
        It meets itself without a seam (across {seams.across.figure.toFixed(2)}, down {seams.down.figure.toFixed(
          2,
        )}; about 1 is seamless).
      {:else}
        Its seams show: across <b>{seams.across.figure.toFixed(2)}</b>, down
        <b>{seams.down.figure.toFixed(2)}</b> times the steps inside; above 1.6 shows.
      {/if}
    </p>
    {#if !picture.seamless}
      <div class="flex flex-wrap items-center gap-2">
        {#each WAYS as { way, name } (way)}
          <button
            type="button"
            class="btn btn-outline h-[28px] min-h-0 px-2.5"
            aria-pressed={trying === way}
            onclick={() => void attempt(way)}>{name}</button
          >
        {/each}
        {#if trying}
          <button
            type="button"
            class="btn btn-primary h-[28px] min-h-0 px-2.5"
            disabled={busy || !found}
            onclick={() => void keep()}>Keep the mended copy</button
          >
        {/if}
      </div>
    {/if}
  </div>
{/if}

<style>
  .field-of {
    height: 190px;
    flex: none;
    background-repeat: repeat;
  }
  .short {
    color: var(--color-warning);
  }
  button[aria-pressed='true'] {
    background: color-mix(in oklab, var(--color-primary) 14%, transparent);
  }
</style>
