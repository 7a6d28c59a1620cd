<script lang="ts">
  /** A name that reads as a heading and can be typed over. */
  import type { Problem } from '../api/types';
  import { useBench } from '../state/context';
  import { Hand } from '../state/hand.svelte';
  import Refusal from './Refusal.svelte';

  type Props = { label: string; value: string; keep: (name: string) => Promise<Problem | null> };
  let { label, value, keep }: Props = $props();

  const id = $props.id();
  const hand = new Hand<string>(useBench().edits);
  let input = $state<HTMLInputElement>();
  const way = {
    keep: async (text: string): Promise<Problem | null> => {
      const name = text.trim();
      if (name) return keep(name);
      return { kind: 'name', message: 'A name has at least one letter.', path: '$' };
    },
  };

  function key(event: KeyboardEvent): void {
    if (event.key === 'Enter') void hand.settle();
    if (event.key !== 'Escape' || !(hand.busy || hand.problem)) return;
    event.preventDefault();
    event.stopPropagation();
    hand.drop();
  }
</script>

<input
  bind:this={input}
  data-kept
  class="name display-face"
  aria-label={label}
  title={label}
  maxlength="120"
  value={hand.value ?? value}
  aria-invalid={hand.problem !== null}
  aria-describedby={hand.problem ? `${id}-problem` : undefined}
  oninput={(e) => hand.show(e.currentTarget.value, way)}
  onkeydown={key}
  onblur={() => void hand.settle()}
/>
{#if hand.problem}
  <Refusal id="{id}-problem" anchor={input} text="{hand.problem} What was there stays: {value}." />
{/if}

<style>
  .name {
    min-width: 24px;
    flex: 0 1 auto;
    field-sizing: content;
    text-overflow: ellipsis;
    font-size: var(--text-title);
    background: transparent;
    border-bottom: 1px dashed transparent;
  }
  .name:hover,
  .name:focus {
    border-color: var(--color-base-content);
  }
</style>
