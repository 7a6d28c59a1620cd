<script lang="ts">
  /** A spot of the page before and after a change, side by side. */
  let { before, after, of }: { before: string; after: string; of: string } = $props();
</script>

<div class="pair">
  <img src={before} alt="{of} before" />
  <img src={after} alt="{of} after" />
</div>

<style>
  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px;
  }
  img {
    width: 100%;
    aspect-ratio: 25 / 15;
    object-fit: cover;
  }
</style>
