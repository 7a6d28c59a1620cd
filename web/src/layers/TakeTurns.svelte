<script lang="ts">
  /** Lets a picture or a gradient become the first of several that take turns. */
  import type { Layer } from '../api/types';
  import { useBench } from '../state/context';

  let { layer, others }: { layer: Layer; others: 'pictures' | 'colours' } = $props();
  const { edits, place, selection } = useBench();

  function begin(): void {
    const { page, area } = selection;
    if (!page || !area) return;
    const asked = { page: page.id, area: area.id, layer: layer.id, assets: [], at: 0 };
    void edits.edit({ kind: 'take-turns', ...asked }, (card) => {
      selection.chooseCard(card);
      place.turn(others === 'pictures' ? 'members' : 'turns');
    });
  }
</script>

<button
  type="button"
  class="quiet act self-start px-0"
  title={others === 'pictures'
    ? 'It becomes the first of several pictures'
    : 'It moves into the same gradient in other colours of the site, and back'}
  onclick={begin}>{others === 'pictures' ? 'Let it take turns with others' : 'Let its colours move'}</button
>
