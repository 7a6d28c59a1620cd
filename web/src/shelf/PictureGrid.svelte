<script lang="ts">
  import type { Picture } from '../api/types';
  import { second } from '../layers/members';
  import { weight } from '../parts/weight';
  import { smallOf } from '../parts/thumb';

  type Props = {
    pictures: Picture[];
    chosen: string | null;
    choose: (asset: string) => void;
    /** The pictures that are picked, in the order in which they were. */
    picked: readonly string[];
    pick: (asset: string) => void;
  };
  let { pictures, chosen, choose, picked, pick }: Props = $props();
</script>

<ul class="grid-of" aria-label="Pictures on the shelf">
  {#each pictures as p (p.asset)}
    <li class="relative">
      <label class="pick" title="Pick several: they can take turns behind words">
        <input type="checkbox" checked={picked.includes(p.asset)} onchange={() => pick(p.asset)} />
        <span class="sr-only">Pick {p.name}</span>
        {#if picked.includes(p.asset)}<b>{picked.indexOf(p.asset) + 1}</b>{/if}
      </label>
      <button type="button" class="entry" aria-pressed={chosen === p.asset} onclick={() => choose(p.asset)}>
        <span
          class="shown"
          class:tile={p.seamless}
          style:background-image={smallOf(p)}
          style:background-size={p.seamless ? `${Math.min(p.width, 96)}px` : 'contain'}
        ></span>
        <span class="flex items-baseline gap-2">
          <b class="truncate">{p.name}</b>
          <span class="muted ml-auto text-small whitespace-nowrap">{weight(p.bytes)}</span>
        </span>
        <span class="flex items-center gap-2 text-small">
          {#if p.duration > 0}<b>moves, {second(p.duration)}</b>{/if}
          <span class="muted">{p.width} × {p.height}</span>
          <span class="muted">{p.mood}</span>
          {#if p.seamless}<span class="muted">seamless</span>{/if}
          <span class="ml-auto flex">
            {#each p.colours as c (c.colour)}
              <span class="dab" style:background={c.colour} style:width="{Math.max(4, c.share * 40)}px"
              ></span>
            {/each}
          </span>
        </span>
        {#if !p.intact}<span class="text-small text-error">damaged on the disk</span>{/if}
        <span class="muted text-small"
          >{p.uses.length === 0
            ? 'not used'
            : p.uses.length === 1
              ? 'used once'
              : `used ${p.uses.length} times`}</span
        >
      </button>
    </li>
  {/each}
</ul>

<style>
  .grid-of {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(clamp(200px, 14cqw, 400px), 1fr));
    gap: 14px;
    align-content: start;
    overflow-y: auto;
    padding: 4px;
  }
  .entry {
    display: flex;
    flex-direction: column;
    width: 100%;
    text-align: left;
    cursor: pointer;
    line-height: 1.4;
  }
  .shown {
    display: block;
    height: 128px;
    margin-bottom: 4px;
    background: no-repeat center / contain;
    background-color: color-mix(in oklab, var(--color-base-content) 7%, transparent);
  }
  .shown.tile {
    background-repeat: repeat;
    background-position: 0 0;
  }
  .entry[aria-pressed='true'] .shown {
    box-shadow:
      0 0 0 2px var(--color-base-100),
      0 0 0 4px var(--color-primary);
  }
  .pick {
    position: absolute;
    top: 4px;
    left: 4px;
    display: flex;
    align-items: center;
    gap: 4px;
    min-width: 26px;
    min-height: 26px;
    padding: 0 6px;
    justify-content: center;
    cursor: pointer;
    background: color-mix(in oklab, var(--color-base-100) 88%, transparent);
  }
  .dab {
    height: 10px;
  }
</style>
