<script lang="ts">
  /** Nine places in a little area. */
  type Props = { value: [number, number] | null; choose: (place: [number, number]) => void };
  let { value, choose }: Props = $props();
  const LINES = [
    ['top left', 'top', 'top right'],
    ['left', 'middle', 'right'],
    ['bottom left', 'bottom', 'bottom right'],
  ];
</script>

<div class="anchors" role="group" aria-label="Nine places">
  {#each LINES as line, y (y)}
    {#each line as name, x (x)}
      <button
        type="button"
        aria-label={name}
        title={name}
        aria-pressed={value?.[0] === x / 2 && value[1] === y / 2}
        onclick={() => choose([x / 2, y / 2])}><span></span></button
      >
    {/each}
  {/each}
</div>

<style>
  .anchors {
    display: grid;
    grid-template-columns: repeat(3, 20px);
    border: 1px solid var(--color-base-300);
    flex: none;
  }
  button {
    display: grid;
    place-items: center;
    height: 17px;
    cursor: pointer;
  }
  button span {
    width: 5px;
    height: 5px;
    background: color-mix(in oklab, var(--color-base-content) 60%, transparent);
  }
  button:hover span,
  button[aria-pressed='true'] span {
    width: 11px;
    height: 9px;
    background: var(--color-primary);
  }
</style>
