<script lang="ts">
  /** A spot of the page before and after a change, side by side. */
  let { before, after, of }: { before: string; after: string; of: string } = $props();
</script>

<div class="pair">
  <img src={before} alt="{of} before" />
  <img src={after} alt="{of} after" />
</div>

<style>
  /* where there is little room it gives way before the words beneath do */
  .pair {
    display: grid;
    grid-template-rows: minmax(0, 1fr);
    flex: 0 1 auto;
    min-height: 36px;
    aspect-ratio: 50 / 15;
    max-width: 100%;
    grid-template-columns: 1fr 1fr;
    gap: 2px;
  }
  img {
    width: 100%;
    height: 100%;
    object-fit: cover;
  }
</style>
