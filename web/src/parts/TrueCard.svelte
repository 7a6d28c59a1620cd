<script lang="ts">
  /** A true picture of a page that is opened by pressing it. Alt and arrows move what it stands for. */
  type Props = {
    label: string;
    /** What the picture is fetched from; null: it is not there yet. */
    picture: string | null;
    current: boolean;
    open: () => void;
    move: (by: -1 | 1) => void;
  };
  let { label, picture, current, open, move }: Props = $props();

  function key(event: KeyboardEvent): void {
    const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
    if (!event.altKey || by === 0) return;
    event.preventDefault();
    event.stopPropagation();
    move(by);
  }
</script>

<button
  type="button"
  class="shown"
  aria-label={label}
  aria-current={current ? 'page' : undefined}
  title="Open on the bench; Alt and arrows move it"
  onclick={open}
  onkeydown={key}
>
  {#if picture}<img src={picture} alt="" width="480" height="300" />{/if}
</button>

<style>
  .shown {
    display: block;
    width: 100%;
    aspect-ratio: 480 / 300;
    cursor: pointer;
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 26%, transparent);
  }
  .shown[aria-current] {
    box-shadow:
      0 0 0 2px var(--color-base-100),
      0 0 0 4px var(--color-primary);
  }
  img {
    width: 100%;
    height: auto;
  }
</style>
