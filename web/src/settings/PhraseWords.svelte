<script lang="ts">
  /** The words of a block, each to be pressed: those that are chosen, and what they are already. */
  import type { Block } from '../api/types';
  import { ends, tokens, type Stretch, type Token } from './phrases';

  type Range = readonly [number, number];
  type Props = {
    block: Block;
    phrases: readonly Stretch[];
    scope: string | null;
    chosen: Range | null;
    choose: (range: Range | null) => void;
  };
  let { block, phrases, scope, chosen, choose }: Props = $props();

  const all = $derived(tokens(block.wording ?? ''));
  const words = $derived(all.filter((token) => token.word));
  const closing = $derived(new Set(ends(block, scope)));
  const inside = (token: Token, range: Range | null) =>
    Boolean(range && range[0] < token.end && token.start < range[1]);
  const wholly = (token: Token) => phrases.find((p) => p.start <= token.start && token.end <= p.end);
  const phraseOf = (token: Token) => phrases.find((p) => p.start < token.end && token.start < p.end);

  let box = $state<HTMLElement>();
  /** The word that the choice began with, and the one that the keys stand at. */
  let first = $state<number | null>(null);
  let at = $state(0);
  let drawing = false;

  function span(one: number, other: number): Range | null {
    const [a, b] = [words[Math.min(one, other)], words[Math.max(one, other)]];
    return a && b ? [a.start, b.end] : null;
  }

  function press(n: number, more: boolean): void {
    const word = words[n];
    if (!word) return;
    at = n;
    if (more && first !== null) return choose(span(first, n));
    first = n;
    const own = phraseOf(word);
    const whole: Range = own ? [own.start, own.end] : [word.start, word.end];
    const isWhole = chosen?.[0] === whole[0] && chosen[1] === whole[1];
    const isWord = chosen?.[0] === word.start && chosen[1] === word.end;
    // a phrase is chosen as a whole at first, then its word alone, then nothing
    choose(isWord ? null : isWhole ? [word.start, word.end] : whole);
  }

  const numberAt = (event: PointerEvent) => {
    const over = document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-n]');
    return over && box?.contains(over) ? Number(over.dataset.n) : null;
  };

  function down(event: PointerEvent): void {
    const n = numberAt(event);
    if (n === null || event.button !== 0) return;
    drawing = true;
    press(n, event.shiftKey);
    if (event.target instanceof Element) event.target.releasePointerCapture(event.pointerId);
  }

  function move(event: PointerEvent): void {
    const n = drawing ? numberAt(event) : null;
    if (n === null || first === null || n === at) return;
    at = n;
    choose(span(first, n));
  }

  function key(event: KeyboardEvent): void {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (event.key === 'Escape' && chosen) {
      event.preventDefault();
      event.stopPropagation();
      choose(null);
    } else if (event.key === ' ' || event.key === 'Enter') {
      event.preventDefault();
      press(at, event.shiftKey);
    } else if (by) {
      event.preventDefault();
      at = Math.max(0, Math.min(words.length - 1, at + by));
      box?.querySelector<HTMLElement>(`[data-n="${at}"]`)?.focus();
      if (event.shiftKey) choose(span((first ??= at - by), at));
    }
  }
</script>

<svelte:window onpointerup={() => (drawing = false)} />

<div
  bind:this={box}
  class="words"
  role="toolbar"
  tabindex="-1"
  aria-label="Words to choose from"
  onpointerdown={down}
  onpointermove={move}
  onkeydown={key}
>
  {#each all as token (token.start)}
    {@const n = words.indexOf(token)}
    {@const own = phraseOf(token)}
    {#if n >= 0}
      <button
        type="button"
        data-n={n}
        class="word"
        tabindex={n === at ? 0 : -1}
        aria-pressed={inside(token, chosen)}
        onclick={(e) => e.detail === 0 && press(n, e.shiftKey)}
        style:font-weight={own?.strong ? 700 : undefined}
        style:font-style={own?.emphasis ? 'italic' : undefined}
        style:border-bottom-color={own?.colour ?? undefined}
        class:leads={own?.link}
        class:said={own}>{token.text}</button
      >{:else if closing.has(token.start)}<span class="muted" aria-hidden="true">↵</span><br />{:else}<span
        class="between"
        class:on={inside(token, chosen)}
        class:said={wholly(token)}
        style:border-bottom-color={wholly(token)?.colour ?? undefined}
        >{token.text === '\n' ? ' ' : token.text}</span
      >{/if}
  {/each}
</div>

<style>
  .words {
    max-height: 116px;
    overflow-y: auto;
    padding: 4px 8px;
    line-height: 30px;
    border: 1px solid var(--color-base-300);
    border-radius: 3px;
    touch-action: pan-y;
    user-select: none;
  }
  .word,
  .between {
    display: inline-block;
    white-space: pre;
    padding: 1px 0;
    line-height: 24px;
    border-bottom: 2px solid transparent;
  }
  .word {
    padding-inline: 1px;
    cursor: pointer;
  }
  .said {
    border-bottom-color: var(--color-neutral);
  }
  .leads {
    color: var(--color-primary);
  }
  .word:hover {
    background: color-mix(in oklab, var(--color-base-content) 9%, transparent);
  }
  .word[aria-pressed='true'],
  .on {
    background: color-mix(in oklab, var(--color-primary) 22%, transparent);
  }
</style>
