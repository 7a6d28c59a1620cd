<script lang="ts">
  /** What a block says. Typing shows at once; leaving the field or a pause keeps it. */
  import type { Problem } from '../api/types';
  import { useBench } from '../state/context';
  import { Hand } from '../state/hand.svelte';

  type Props = {
    value: string;
    show: (text: string) => void;
    keep: (text: string) => Promise<Problem | null>;
  };
  let { value, show, keep }: Props = $props();

  const hand = new Hand<string>(useBench().edits);
  const id = $props.id();
  const way = () => ({ show, keep });

  function key(event: KeyboardEvent): void {
    if (event.key !== 'Escape' || !hand.busy) return;
    event.preventDefault();
    event.stopPropagation();
    hand.drop();
  }
</script>

<div>
  <label for={id} class="sr-only">Words</label>
  <textarea
    {id}
    data-kept
    class="field block w-full resize-none leading-snug"
    rows="2"
    value={hand.value ?? value}
    aria-invalid={hand.problem !== null}
    aria-describedby={hand.problem ? `${id}-problem` : undefined}
    oninput={(e) => hand.nudge(e.currentTarget.value, way(), 900)}
    onkeydown={key}
    onblur={() => void hand.settle()}></textarea>
  {#if hand.problem}
    <p id="{id}-problem" role="alert" class="text-small text-error">
      {hand.problem} What was kept before is on the screens.
    </p>
  {/if}
</div>
