<script lang="ts">
  /** Tiles or silhouettes of the library, as they look. */
  import type { Library } from '../api/types';

  type Props = {
    label: string;
    figures: Library['tiles'];
    value: string;
    choose: (id: string, name: string) => void;
  };
  let { label, figures, value, choose }: Props = $props();
  const name = $props.id();
</script>

<fieldset class="figures">
  <legend class="sr-only">{label}</legend>
  {#each figures as figure (figure.id)}
    <label class="figure" title={figure.name}>
      <input
        type="radio"
        {name}
        class="sr-only"
        checked={figure.id === value}
        aria-label={figure.name}
        onchange={() => choose(figure.id, figure.name)}
      />
      <span style:mask-image={figure.image}></span>
    </label>
  {/each}
</fieldset>

<style>
  .figures {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
  }
  .figure {
    width: 46px;
    height: 30px;
    border: 1px solid var(--color-base-300);
    cursor: pointer;
  }
  .figure span {
    display: block;
    width: 100%;
    height: 100%;
    background: var(--color-base-content);
    mask-repeat: no-repeat;
    mask-size: 100% 100%;
  }
  .figure:has(:checked) {
    box-shadow: 0 0 0 2px var(--color-primary);
  }
  .figure:has(:focus-visible) {
    outline: 2px solid var(--color-primary);
    outline-offset: 2px;
  }
</style>
