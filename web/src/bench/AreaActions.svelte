<script lang="ts">
  /** What can be done with the chosen area as a whole: add, move, duplicate, remove, join. */
  import type { Edit } from '../api/types';
  import Menu, { type Action, type Group } from '../parts/Menu.svelte';
  import { useBench } from '../state/context';
  import { doings } from '../state/shared.svelte';

  const { edits, place, selection, shared } = useBench();

  const page = $derived(selection.page?.id ?? '');
  const band = $derived(
    selection.area?.kind === 'band' || selection.area?.kind === 'column' ? selection.band : null,
  );
  const at = $derived(selection.bands.findIndex((b) => b.id === band?.id));
  const above = $derived(at > 0 ? selection.bands[at - 1] : undefined);
  const below = $derived(at >= 0 ? selection.bands[at + 1] : undefined);

  const OTHERS = [
    { of: 'pictures', columns: 3, name: 'of pictures, words below' },
    { of: 'captions', columns: 3, name: 'of pictures, captions on them' },
    { of: 'list', columns: 1, name: 'with a list' },
  ] as const;

  const action = (id: string, name: string, edit: Edit, off = false): Action => ({
    id,
    name,
    off,
    run: () => void edits.edit(edit, (chosen) => selection.choose(chosen)),
  });

  /** What has an end of a page or a join around it is not shown by rules. */
  const placeable = $derived(
    band !== null &&
      !selection.page?.loose &&
      band.role !== 'header' &&
      band.role !== 'footer' &&
      !(selection.page?.joins ?? []).some((j) => j.first === band.id || j.last === band.id),
  );

  const groups = $derived.by((): Group[] => {
    const where = band ? `below ${band.name}` : 'at the top';
    const add = { kind: 'add-band', page, after: band?.id ?? null } as const;
    const found: Group[] = [
      {
        title: `Add a band ${where}`,
        actions: [
          ...[1, 2, 3, 4].map((columns) =>
            action(`add-${columns}`, `with ${columns} column${columns > 1 ? 's' : ''}`, {
              ...add,
              of: 'words',
              columns,
            }),
          ),
          ...OTHERS.map(({ of, columns, name }) => action(`add-${of}`, name, { ...add, of, columns })),
        ],
      },
    ];
    if (band) {
      const of = { page, band: band.id };
      found.push({
        title: band.name,
        actions: [
          action('up', 'Move it up', { kind: 'move-band', ...of, by: -1 }, !above),
          action('down', 'Move it down', { kind: 'move-band', ...of, by: 1 }, !below),
          {
            id: 'by-rules',
            name: 'Show it by rules',
            off: !placeable,
            // its rules are made in the calendar; here nothing of it would be left to be seen
            run: () =>
              void edits.edit({ kind: 'place-band', ...of }, (chosen) => {
                place.go('calendar');
                if (chosen) place.item = chosen;
              }),
          },
          action('duplicate', 'Duplicate it', { kind: 'duplicate-band', ...of }),
          action('remove', 'Remove it', { kind: 'remove-band', ...of }),
        ],
      });
      const joins: Action[] = [];
      if (above)
        joins.push(
          action('join-above', `Join with ${above.name}`, {
            kind: 'join',
            page,
            first: above.id,
            last: band.id,
          }),
        );
      if (below)
        joins.push(
          action('join-below', `Join with ${below.name}`, {
            kind: 'join',
            page,
            first: band.id,
            last: below.id,
          }),
        );
      if (joins.length > 0) found.push({ title: 'One picture behind two bands', actions: joins });
    }
    const part = shared.partOf(page, selection.area?.id);
    if (part)
      found.push({
        title: part.name,
        actions: doings(shared, page, part).map((one) => ({
          id: one.id,
          name: one.name,
          run: () => void edits.edit(one.edit, undefined, false),
        })),
      });
    const join = selection.area?.join;
    if (join)
      found.push({
        title: join.name ?? 'Join',
        actions: [action('part', 'Part it: each band its own again', { kind: 'part', page, join: join.id })],
      });
    return found;
  });
</script>

<Menu
  label="Change the areas"
  {groups}
  name="Change areas"
  note="Add a band; move, duplicate, remove or join the chosen one"
  act
/>
