<script lang="ts">
  /** Why a value was not taken, beside the control it was put into. */
  import { Popover } from 'bits-ui';

  type Props = { id: string; anchor: HTMLElement | undefined; text: string };
  let { id, anchor, text }: Props = $props();
</script>

<Popover.Root open>
  <Popover.Portal>
    <Popover.Content
      customAnchor={anchor ?? null}
      trapFocus={false}
      sideOffset={3}
      collisionPadding={8}
      align="start"
      onOpenAutoFocus={(event) => event.preventDefault()}
      onCloseAutoFocus={(event) => event.preventDefault()}
      interactOutsideBehavior="ignore"
      escapeKeydownBehavior="ignore"
    >
      {#snippet child({ wrapperProps, props })}
        <div {...wrapperProps}>
          <p {...props} {id} role="alert" aria-labelledby={undefined} class="refusal">{text}</p>
        </div>
      {/snippet}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>

<style>
  .refusal {
    max-width: 360px;
    background: var(--color-base-100);
    border: 1px solid var(--color-error);
    border-left-width: 4px;
    color: var(--color-error);
    padding: 4px 8px;
    font-size: var(--text-small);
    border-radius: var(--radius-field);
    box-shadow: var(--lift);
  }
</style>
