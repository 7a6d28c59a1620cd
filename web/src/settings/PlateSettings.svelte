<script lang="ts">
  /** A plate's frame: corners, key line, shadow, inner and outer space. */
  import type { Block, Plate } from '../api/types';
  import ColourField from '../parts/ColourField.svelte';
  import LengthField from '../parts/LengthField.svelte';
  import { editorOf, type Values } from '../state/editor';

  let { block, plate }: { block: Block; plate: Plate } = $props();

  const to = editorOf((chosen) => chosen.blockTarget(block.id));
  const inPlate = (values: Values) =>
    Object.fromEntries(Object.entries(values).map(([name, value]) => [`plate/${name}`, value]));
  const show = (values: Values) => to.show(inPlate(values));
  const keep = (values: Values, label: string) => to.keep(inPlate(values), `Plate: ${label}`);
  const SPACES = [
    ['padding', 'block', 'Inside, above'],
    ['padding', 'inline', 'Inside, beside'],
    ['space', 'block', 'Outside, above'],
    ['space', 'inline', 'Outside, beside'],
  ] as const;
  const side = (which: 'padding' | 'space', name: 'block' | 'inline', text: string): Values => ({
    [which]: { ...(plate[which] ?? { block: '0px', inline: '0px' }), [name]: text },
  });
</script>

<div class="grid grid-cols-[repeat(auto-fit,minmax(92px,1fr))] gap-2">
  <LengthField
    label="Corners"
    value={plate.radius ?? '0px'}
    note="corner radius: px, em, rem"
    show={(radius) => show({ radius })}
    keep={(radius) => keep({ radius }, `corners of ${radius}`)}
  />
  {#each SPACES as [which, name, label] (label)}
    <LengthField
      {label}
      value={plate[which]?.[name] ?? '0px'}
      note="px, em, % of the column"
      show={(text) => show(side(which, name, text))}
      keep={(text) => keep(side(which, name, text), `${label.toLowerCase()} ${text}`)}
    />
  {/each}
</div>
<div class="flex flex-wrap items-center gap-x-4 gap-y-1">
  <label class="check">
    <input
      type="checkbox"
      checked={Boolean(plate.line)}
      onchange={(e) =>
        void keep({ line: e.currentTarget.checked ? { width: '1px', colour: '#ffffff' } : null }, 'key line')}
    /> key line
  </label>
  {#if plate.line}
    {@const line = plate.line}
    <LengthField
      label="Width of the key line"
      hideLabel
      width="58px"
      value={line.width ?? '1px'}
      show={(width) => show({ line: { ...line, width } })}
      keep={(width) => keep({ line: { ...line, width } }, `key line of ${width}`)}
    />
    <ColourField
      tight
      label="in"
      value={line.colour ?? '#ffffff'}
      show={(colour) => show({ line: { ...line, colour } })}
      keep={(colour) => keep({ line: { ...line, colour } }, `key line in ${colour}`)}
    />
  {/if}
  <label class="check">
    <input
      type="checkbox"
      checked={Boolean(plate.shadow)}
      onchange={(e) =>
        void keep(
          {
            shadow: e.currentTarget.checked
              ? { across: '0px', down: '4px', blur: '16px', spread: '0px', colour: '#00000066' }
              : null,
          },
          'shadow',
        )}
    /> shadow
  </label>
  {#if plate.shadow}
    {@const shadow = plate.shadow}
    <LengthField
      label="Blur of the shadow"
      hideLabel
      width="58px"
      value={shadow.blur ?? '8px'}
      show={(blur) => show({ shadow: { ...shadow, blur } })}
      keep={(blur) => keep({ shadow: { ...shadow, blur } }, `shadow blurred by ${blur}`)}
    />
    <ColourField
      tight
      label="in"
      value={shadow.colour ?? '#00000066'}
      show={(colour) => show({ shadow: { ...shadow, colour } })}
      keep={(colour) => keep({ shadow: { ...shadow, colour } }, `shadow in ${colour}`)}
    />
  {/if}
  <label class="check" title="otherwise as wide as the words may be">
    <input
      type="checkbox"
      checked={plate.fit ?? true}
      onchange={(e) => void keep({ fit: e.currentTarget.checked }, 'as wide as its words')}
    /> as wide as its words
  </label>
</div>
