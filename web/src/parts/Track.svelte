<script lang="ts">
  /** A part from 0 to 100 % on a track that is the thing itself, from nothing to full: pulled, or nudged with arrow keys. */
  import type { Problem } from '../api/types';
  import { useBench } from '../state/context';
  import { Hand } from '../state/hand.svelte';
  import { arrow } from './pull';

  type Props = {
    id?: string;
    label?: string;
    /** 0..1 */
    value: number;
    said?: string;
    show: (value: number) => void;
    keep: (value: number) => Promise<Problem | null> | void;
    /** What is under way, in %, for showing it elsewhere too. */
    pulled?: (value: number | null) => void;
  };
  let { id, label, value, said = '', show, keep, pulled }: Props = $props();

  const hand = new Hand<number>(useBench().edits);
  const shown = $derived(hand.value ?? Math.round(value * 100));
  const way = {
    show: (percent: number) => show(percent / 100),
    keep: (percent: number) => keep(percent / 100),
  };

  $effect(() => pulled?.(hand.value));

  function key(event: KeyboardEvent): void {
    if (event.key === 'Escape' && hand.busy) {
      event.preventDefault();
      event.stopPropagation();
      return hand.drop();
    }
    const by = arrow(event);
    if (!by) return;
    event.preventDefault();
    const step = Math.sign(by[0] - by[1]) * Math.max(1, Math.abs(by[0] - by[1]));
    hand.nudge(Math.min(100, Math.max(0, shown + step)), way);
  }
</script>

<input
  {id}
  type="range"
  min="0"
  max="100"
  value={shown}
  aria-label={label}
  aria-valuetext="{shown} %{said}"
  oninput={(e) => hand.show(Number(e.currentTarget.value), way)}
  onchange={() => void hand.settle()}
  onkeydown={key}
/>
