<script lang="ts" generics="T extends string">
  /** A few words of which one holds. */
  type Props = {
    label: string;
    value: T;
    options: readonly { value: T; name: string; note?: string }[];
    choose: (value: T) => void;
    short?: boolean;
  };
  let { label, value, options, choose, short = false }: Props = $props();
  const name = $props.id();
</script>

<fieldset class="flex items-center gap-2 {short ? 'min-w-0' : ''}">
  <legend class="sr-only">{label}</legend>
  <span class="muted {short ? 'w-11' : 'w-[68px]'} shrink-0 text-small" aria-hidden="true">{label}</span>
  <div class="flex {short ? 'flex-wrap gap-x-2' : 'gap-x-2.5'}">
    {#each options as option (option.value)}
      <label class="option" title={option.note}>
        <input
          type="radio"
          {name}
          class="sr-only"
          checked={option.value === value}
          onchange={() => choose(option.value)}
        />
        <span>{option.name}</span>
      </label>
    {/each}
  </div>
</fieldset>
