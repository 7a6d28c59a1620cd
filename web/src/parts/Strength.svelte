<script lang="ts">
  /** An opacity from 0 to 100 % on a track that is the layer itself, from nothing to full; a tick where words can be read. */
  type Props = {
    label: string;
    value: number;
    /** A CSS background: the layer at full strength. */
    ink: string;
    tick?: number | null;
    show: (value: number) => void;
    keep: (value: number) => void;
  };
  let { label, value, ink, tick = null, show, keep }: Props = $props();

  const id = $props.id();
  let pulled = $state<number | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const shown = $derived(pulled ?? Math.round(value * 100));

  function pull(event: Event & { currentTarget: HTMLInputElement }): void {
    pulled = Number(event.currentTarget.value);
    show(pulled / 100);
  }

  function settle(): void {
    clearTimeout(timer);
    if (pulled === null) return;
    const next = pulled / 100;
    pulled = null;
    keep(next);
  }

  function key(event: KeyboardEvent & { currentTarget: HTMLInputElement }): void {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (!by) return;
    event.preventDefault();
    pulled = Math.min(100, Math.max(0, shown + by * (event.shiftKey ? 10 : 1)));
    show(pulled / 100);
    clearTimeout(timer);
    timer = setTimeout(settle, 450);
  }

  function typed(event: Event & { currentTarget: HTMLInputElement }): void {
    const next = Number.parseFloat(event.currentTarget.value);
    if (Number.isFinite(next)) keep(Math.min(100, Math.max(0, next)) / 100);
    else event.currentTarget.value = `${shown} %`;
  }
</script>

<div class="flex items-center gap-2">
  <label for={id} class="muted w-[68px] shrink-0 text-[13px]">{label}</label>
  <div class="track chequered">
    <div class="ink" style:background={ink}></div>
    {#if tick !== null}
      <div
        class="tick"
        style:left="{tick * 100}%"
        title="From {Math.round(tick * 100)} % every word can be read"
      ></div>
    {/if}
    <input
      {id}
      type="range"
      min="0"
      max="100"
      value={shown}
      aria-valuetext="{shown} %{tick !== null && shown / 100 >= tick ? ', every word can be read' : ''}"
      oninput={pull}
      onchange={settle}
      onkeydown={key}
    />
  </div>
  <input class="field w-[58px] text-right" aria-label="{label} in %" value="{shown} %" onchange={typed} />
</div>

<style>
  .track {
    position: relative;
    flex: 1;
    height: 20px;
    border: 1px solid var(--color-base-300);
  }
  .ink {
    position: absolute;
    inset: 0;
    mask-image: linear-gradient(to right, transparent, black);
  }
  .tick {
    position: absolute;
    top: -6px;
    bottom: -6px;
    width: 3px;
    margin-left: -1.5px;
    background: var(--color-success);
    outline: 1px solid var(--color-base-100);
    pointer-events: none;
  }
  input[type='range'] {
    position: absolute;
    inset: -4px -6px;
    width: calc(100% + 12px);
    height: 28px;
    appearance: none;
    background: transparent;
    cursor: ew-resize;
  }
  input[type='range']::-webkit-slider-thumb {
    appearance: none;
    width: 12px;
    height: 28px;
    background: var(--color-base-100);
    border: 2.5px solid var(--color-base-content);
    border-radius: 3px;
  }
  input[type='range']::-moz-range-thumb {
    width: 8px;
    height: 24px;
    background: var(--color-base-100);
    border: 2.5px solid var(--color-base-content);
    border-radius: 3px;
  }
</style>
