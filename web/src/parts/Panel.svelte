<script lang="ts">
  /** Something that opens beside what opens it, and closes with Escape, by a press elsewhere, or when it is done. */
  import { Popover } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import { useBench } from '../state/context';

  type Props = {
    /** Its name in the address. */
    name: string;
    label: string;
    width: number;
    opener: Snippet<[Record<string, unknown>]>;
    children: Snippet<[() => void]>;
    opened?: () => void;
    closed?: () => void;
  };
  let { name, label, width, opener, children, opened, closed }: Props = $props();
  const { place, eyedropper } = useBench();
  const open = $derived(place.panel === name);

  function turn(next: boolean): void {
    if (next) {
      place.open(name);
      opened?.();
    } else {
      place.close(name);
      closed?.();
    }
  }
</script>

<Popover.Root bind:open={() => open, turn}>
  <Popover.Trigger>
    {#snippet child({ props })}{@render opener(props)}{/snippet}
  </Popover.Trigger>
  <Popover.Portal>
    <Popover.Content
      aria-label={label}
      sideOffset={4}
      collisionPadding={8}
      align="start"
      onFocusOutside={(event) => eyedropper.taker && event.preventDefault()}
      onInteractOutside={(event) => {
        // a colour is being taken off a screen, or a fault of a field is told beside it
        if (eyedropper.taker || (event.target as Element | null)?.closest?.('[role=alert]'))
          event.preventDefault();
      }}
    >
      {#snippet child({ wrapperProps, props, open: shown })}
        {#if shown}
          <div {...wrapperProps}>
            <div {...props} role="dialog" class="panel" style:width="{width}px">
              {@render children(() => turn(false))}
            </div>
          </div>
        {/if}
      {/snippet}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>

<style>
  .panel {
    box-sizing: border-box;
    max-width: calc(100vw - 16px);
    max-height: var(--bits-popover-content-available-height);
    overflow: auto;
    overscroll-behavior: contain;
    box-shadow: var(--lift);
    padding: 10px 12px;
    background: var(--color-base-100);
    color: var(--color-base-content);
    border: 1px solid var(--color-base-300);
    border-radius: var(--radius-field);
  }
</style>
