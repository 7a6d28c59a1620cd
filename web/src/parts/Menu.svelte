<script lang="ts" module>
  /** Something that can be done. */
  export type Action = { id: string; name: string; note?: string; off?: boolean; run: () => void };
  /** What goes together, under a few words. */
  export type Group = { title?: string; actions: Action[] };
</script>

<script lang="ts">
  /** A menu of actions: each says what will happen. */
  import { DropdownMenu } from 'bits-ui';
  import ChevronDown from '@lucide/svelte/icons/chevron-down';

  type Props = {
    label: string;
    groups: Group[];
    /** What stands on what opens it, and what it is told as, where that is more. */
    name: string;
    says?: string;
    note?: string;
    /** Whether it looks like what acts, rather than like what tells. */
    act?: boolean;
  };
  let { label, groups, name, says, note, act = false }: Props = $props();
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger>
    {#snippet child({ props })}
      <button {...props} type="button" class="quiet opener" class:act aria-label={says} title={note}
        >{name}<ChevronDown size={14} aria-hidden="true" /></button
      >
    {/snippet}
  </DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content
      aria-label={label}
      sideOffset={4}
      collisionPadding={8}
      align="start"
      preventScroll={false}
    >
      {#snippet child({ wrapperProps, props, open })}
        {#if open}
          <div {...wrapperProps}>
            <div {...props} class="menu-of">
              {#each groups as group, n (n)}
                <DropdownMenu.Group aria-label={group.title}>
                  {#if group.title}<p class="muted title" aria-hidden="true">{group.title}</p>{/if}
                  {#each group.actions as action (action.id)}
                    <DropdownMenu.Item disabled={action.off} textValue={action.name} onSelect={action.run}>
                      {#snippet child({ props: item })}
                        <div {...item} class="action" title={action.note}>{action.name}</div>
                      {/snippet}
                    </DropdownMenu.Item>
                  {/each}
                </DropdownMenu.Group>
              {/each}
            </div>
          </div>
        {/if}
      {/snippet}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>

<style>
  .opener {
    display: flex;
    flex: none;
    align-items: center;
    gap: 4px;
    white-space: nowrap;
  }
  .menu-of {
    min-width: 168px;
    max-width: min(340px, calc(100vw - 16px));
    max-height: var(--bits-dropdown-menu-content-available-height);
    overflow: auto;
    box-shadow: var(--lift);
    padding: 6px 0;
    background: var(--color-base-100);
    color: var(--color-base-content);
    border: 1px solid var(--color-base-300);
    border-radius: var(--radius-field);
  }
  .title {
    padding: 4px 14px 2px;
    font-size: var(--text-small);
  }
  .action {
    display: flex;
    align-items: center;
    min-height: 30px;
    padding: 2px 14px;
    cursor: pointer;
  }
  .action[data-highlighted] {
    background: color-mix(in oklab, var(--color-primary) 12%, transparent);
    color: var(--color-primary);
  }
  .action[data-disabled] {
    cursor: default;
    color: color-mix(in oklab, var(--color-base-content) 55%, var(--color-base-100));
  }
</style>
