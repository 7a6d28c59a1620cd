<script lang="ts">
  /** What a block says. Typing shows at once; leaving the field or a pause keeps it. */
  import type { Problem } from '../api/types';

  type Props = {
    value: string;
    show: (text: string) => void;
    keep: (text: string) => Promise<Problem | null>;
  };
  let { value, show, keep }: Props = $props();

  let typed = $state<string | null>(null);
  let problem = $state<string | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const id = $props.id();

  async function settle(leaving: boolean): Promise<void> {
    clearTimeout(timer);
    if (typed === null) return;
    const text = typed;
    const refused = await keep(text);
    problem = refused?.message ?? null;
    if (!refused && leaving && typed === text) typed = null;
  }

  function input(event: Event & { currentTarget: HTMLTextAreaElement }): void {
    typed = event.currentTarget.value;
    problem = null;
    show(typed);
    clearTimeout(timer);
    timer = setTimeout(() => void settle(false), 900);
  }
</script>

<div>
  <label for={id} class="sr-only">Words</label>
  <textarea
    {id}
    class="field w-full resize-none leading-snug"
    rows="2"
    value={typed ?? value}
    aria-invalid={problem !== null}
    aria-describedby={problem ? `${id}-problem` : undefined}
    oninput={input}
    onblur={() => void settle(true)}></textarea>
  {#if problem}
    <p id="{id}-problem" role="alert" class="text-[12.5px] text-error">
      {problem} What was kept before is on the screens.
    </p>
  {/if}
</div>
