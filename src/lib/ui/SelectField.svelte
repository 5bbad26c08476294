<script lang="ts">
  import type { HTMLSelectAttributes } from 'svelte/elements';
  import Field from './Field.svelte';

  interface Props extends Omit<HTMLSelectAttributes, 'name' | 'value'> {
    label: string;
    name: string;
    value?: string | undefined;
    options: { value: string; text: string }[];
    error?: string | undefined;
    help?: string;
  }
  let { label, name, value = '', options, error, help, ...rest }: Props = $props();
  /** a value that is no option leaves the first one chosen */
  const chosen = $derived(options.some((o) => o.value === value) ? value : (options[0]?.value ?? ''));
</script>

<Field {label} {name} {error} help={help ?? ''}>
  {#snippet children(attributes)}
    <select class="select w-full" {name} value={chosen} {...rest} {...attributes}>
      {#each options as option (option.value)}
        <option value={option.value}>{option.text}</option>
      {/each}
    </select>
  {/snippet}
</Field>
