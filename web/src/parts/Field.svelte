<script lang="ts">
  import type { Problem } from '../api/types';

  type Props = {
    label: string;
    value: string;
    keep: (text: string) => Promise<Problem | null>;
    show?: (text: string) => void;
    nudge?: (text: string, by: number) => string;
    width?: string;
    hideLabel?: boolean;
    note?: string;
    maxlength?: number;
    placeholder?: string;
  };
  let {
    label,
    value,
    keep,
    show,
    nudge,
    width = '100%',
    hideLabel = false,
    note = '',
    maxlength = 200,
    placeholder,
  }: Props = $props();

  const WIDTH = 360;
  const HEIGHT = 96;
  let typed = $state<string | null>(null);
  let problem = $state<string | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const id = $props.id();
  let box = $state<HTMLElement>();
  let spot = $state({ left: 0, top: 0 });
  const shown = $derived(typed ?? value);

  async function settle(): Promise<void> {
    clearTimeout(timer);
    if (typed === null) return;
    const text = typed.trim();
    const refused = await keep(text);
    const place = box?.getBoundingClientRect();
    if (refused && place)
      spot = {
        left: Math.min(place.left, window.innerWidth - WIDTH - 16),
        top: Math.min(place.bottom + 3, window.innerHeight - HEIGHT),
      };
    problem = refused ? refused.message : null;
    if (!refused) typed = null;
  }

  function input(event: Event & { currentTarget: HTMLInputElement }): void {
    typed = event.currentTarget.value;
    problem = null;
    show?.(typed.trim());
  }

  function key(event: KeyboardEvent): void {
    if (event.key === 'Enter') void settle();
    if (event.key === 'Escape' && typed !== null) {
      typed = null;
      problem = null;
      show?.(value);
      event.stopPropagation();
    }
    if (nudge && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      typed = nudge(shown, (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
      show?.(typed);
      clearTimeout(timer);
      timer = setTimeout(() => void settle(), 450);
    }
  }
</script>

<div class="min-w-0" style:width bind:this={box}>
  <label for={id} class={hideLabel ? 'sr-only' : 'muted block pb-0.5 text-[12px]'}>{label}</label>
  <input
    {id}
    {maxlength}
    {placeholder}
    class="field w-full"
    type="text"
    autocomplete="off"
    spellcheck="false"
    value={shown}
    aria-invalid={problem !== null}
    aria-describedby={problem ? `${id}-problem` : undefined}
    title={note || undefined}
    oninput={input}
    onkeydown={key}
    onblur={() => void settle()}
  />
  {#if problem}
    <p
      id="{id}-problem"
      role="alert"
      class="problem"
      style:left="{spot.left}px"
      style:top="{spot.top}px"
      style:width="{WIDTH}px"
    >
      {problem} What was there stays: {value}.
    </p>
  {/if}
</div>

<style>
  .problem {
    position: fixed;
    z-index: 30;
    background: var(--color-base-100);
    border: 1px solid var(--color-error);
    border-left-width: 4px;
    color: var(--color-error);
    padding: 4px 8px;
    font-size: 12.5px;
    border-radius: 3px;
  }
</style>
