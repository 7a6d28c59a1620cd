<script lang="ts" generics="T extends string">
  /** A few parts of one place, of which one is in sight. The arrow keys walk along them. */
  import { Tabs } from 'bits-ui';
  import type { Snippet } from 'svelte';

  type Props = {
    label: string;
    tabs: readonly { id: T; name: string; mark?: boolean }[];
    value: T;
    choose: (id: T) => void;
    /** What stands beside the tabs. */
    beside?: Snippet;
    children: Snippet;
  };
  let { label, tabs, value, choose, beside, children }: Props = $props();
</script>

<Tabs.Root bind:value={() => value, (next) => choose(next as T)} class="flex min-h-0 flex-1 flex-col">
  <div class="row">
    <Tabs.List aria-label={label} class="flex flex-wrap">
      {#each tabs as { id, name, mark } (id)}
        <Tabs.Trigger value={id}>
          {#snippet child({ props })}
            <button {...props} type="button" class="name"
              >{name}{#if mark}<span class="dot" title="Something is set here"></span>{/if}</button
            >
          {/snippet}
        </Tabs.Trigger>
      {/each}
    </Tabs.List>
    {@render beside?.()}
  </div>
  <Tabs.Content {value} tabindex={-1} class="flex min-h-0 flex-1 flex-col">{@render children()}</Tabs.Content>
</Tabs.Root>

<style>
  .row {
    display: flex;
    flex: none;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 20px;
    padding-bottom: 4px;
  }
  .name {
    display: flex;
    align-items: center;
    gap: 5px;
    min-height: 28px;
    padding: 0 8px;
    white-space: nowrap;
    border-bottom: 2px solid transparent;
    cursor: pointer;
  }
  .name:hover {
    color: var(--color-primary);
  }
  .name[data-state='active'] {
    border-color: var(--color-primary);
    font-weight: 600;
  }
  .dot {
    width: 6px;
    height: 6px;
    background: var(--color-primary);
    transform: rotate(45deg);
  }
</style>
