<script lang="ts">
  /** Pictures in small, one press each. */
  import type { Asset } from '../api/types';
  import { smallOf } from './thumb';

  type Props = {
    assets: readonly Asset[];
    /** The one that is shown now. */
    chosen?: string | null;
    /** What a press does, before a picture's name. */
    verb?: string;
    choose: (asset: Asset) => void;
  };
  let { assets, chosen, verb = '', choose }: Props = $props();
</script>

{#each assets as asset (asset.id)}
  <button
    type="button"
    class="thumb"
    aria-label="{verb}{asset.name}"
    aria-pressed={chosen === undefined ? undefined : asset.id === chosen}
    title={asset.name}
    style:background-image={smallOf(asset)}
    onclick={() => choose(asset)}
  ></button>
{/each}

<style>
  .thumb {
    width: 42px;
    height: 28px;
    background-size: cover;
    background-position: center;
    border: 1px solid var(--color-base-300);
    cursor: pointer;
  }
  .thumb[aria-pressed='true'] {
    box-shadow:
      0 0 0 1px var(--color-base-100),
      0 0 0 3px var(--color-primary);
  }
</style>
