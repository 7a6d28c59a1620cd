<script lang="ts">
  /** Puts a new layer in at the place where it shall lie: something of every kind, as it looks. */
  import Plus from '@lucide/svelte/icons/plus';
  import Panel from '../parts/Panel.svelte';
  import { useBench } from '../state/context';
  import Offers from './Offers.svelte';

  /** `gap` and `middle`: the room beside the card, and where its middle is, px. */
  let { at, gap, middle }: { at: number; gap: number; middle: number } = $props();
  const { selection } = useBench();
  const place = $derived(at === 0 ? 'on the base' : `on ${selection.layers[at - 1]?.name ?? 'the top'}`);
</script>

<Panel name="lay-in-{at}" label="Lay something in {place}" width={562}>
  {#snippet opener(props)}
    <button
      {...props}
      type="button"
      class="add"
      style:top="{middle - 20}px"
      style:width="{gap + 4}px"
      aria-label="Lay something in {place}"
      title="Lay something in {place}"><Plus size={17} aria-hidden="true" /></button
    >
  {/snippet}
  {#snippet children(close)}
    <p class="muted pb-1">Lay in {place}:</p>
    <Offers {at} {close} />
  {/snippet}
</Panel>

<style>
  .add {
    position: absolute;
    left: calc(100% - 2px);
    display: grid;
    place-items: center;
    height: 40px;
    color: var(--color-primary);
    cursor: pointer;
  }
  .add:hover {
    background: color-mix(in oklab, var(--color-primary) 14%, transparent);
  }
</style>
