<script lang="ts">
  /**
   * A value that is typed. It shows while it is typed, is kept on Enter or on leaving, and is left with Escape. With
   * `nudge` the arrow keys change it: tenfold with Shift, a tenth with Alt; the wheel too, while it has the focus.
   */
  import type { Problem } from '../api/types';
  import { useBench } from '../state/context';
  import { Hand } from '../state/hand.svelte';
  import { arrow } from './pull';
  import Refusal from './Refusal.svelte';

  type Props = {
    label: string;
    value: string;
    keep: (text: string) => Promise<Problem | null>;
    show?: (text: string) => void;
    nudge?: (text: string, by: number) => string;
    /** What typed text comes to, for example a sum; by default itself. */
    read?: (text: string) => string;
    width?: string;
    hideLabel?: boolean;
    note?: string;
    maxlength?: number;
    placeholder?: string;
    align?: 'left' | 'right';
    disabled?: boolean;
    /** The name that screen readers tell, where it is another than what is to be seen. */
    name?: string;
  };
  let {
    label,
    value,
    keep,
    show,
    nudge,
    read = (text) => text,
    width = '100%',
    hideLabel = false,
    note = '',
    maxlength = 200,
    placeholder,
    align = 'left',
    disabled = false,
    name,
  }: Props = $props();

  const id = $props.id();
  const { edits } = useBench();
  const hand = new Hand<string>(edits);
  let input = $state<HTMLInputElement>();
  const shown = $derived(hand.value ?? value);
  const way = {
    show: (text: string) => show?.(read(text.trim())),
    keep: (text: string) => {
      const said = text.trim();
      // empty goes back to what was there, where a number stands
      if (said === '' && nudge) {
        edits.forget();
        return;
      }
      return keep(read(said));
    },
  };

  function typed(text: string): void {
    hand.show(text, way);
  }

  function step(by: number): void {
    if (nudge) hand.nudge(nudge(read(shown), by), way);
  }

  function key(event: KeyboardEvent): void {
    if (event.key === 'Enter') void hand.settle();
    if (event.key === 'Escape' && (hand.busy || hand.problem)) {
      hand.drop();
      event.preventDefault();
      event.stopPropagation();
    }
    const by = nudge ? arrow(event) : null;
    if (!by || by[1] === 0) return;
    event.preventDefault();
    step(-by[1]);
  }

  function wheel(event: WheelEvent): void {
    if (!nudge || document.activeElement !== input) return;
    event.preventDefault();
    step((event.deltaY < 0 ? 1 : -1) * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1));
  }

  $effect(() => {
    // the wheel scrolls, unless the field has the focus; so it has to be listened to actively
    const node = input;
    node?.addEventListener('wheel', wheel, { passive: false });
    return () => node?.removeEventListener('wheel', wheel);
  });
</script>

<div class="min-w-0" style:width>
  <label for={id} class={hideLabel ? 'sr-only' : 'muted block pb-0.5 text-small'}>{name ?? label}</label>
  <input
    {id}
    {maxlength}
    {placeholder}
    {disabled}
    bind:this={input}
    data-kept
    class="field w-full"
    class:text-right={align === 'right'}
    type="text"
    autocomplete="off"
    spellcheck="false"
    value={shown}
    aria-invalid={hand.problem !== null}
    aria-describedby={hand.problem ? `${id}-problem` : undefined}
    title={shown.length > 9 ? `${shown}. ${note}` : note || undefined}
    oninput={(e) => typed(e.currentTarget.value)}
    onkeydown={key}
    onblur={() => void hand.settle()}
  />
  {#if hand.problem}
    <Refusal id="{id}-problem" anchor={input} text="{hand.problem} What was there stays: {value}." />
  {/if}
</div>
