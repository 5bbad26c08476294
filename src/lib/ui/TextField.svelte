<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import Field from './Field.svelte';

  interface Props extends Omit<HTMLInputAttributes, 'name' | 'value'> {
    label: string;
    name: string;
    value?: string | undefined;
    error?: string | undefined;
    help?: string;
    origin?: string;
  }
  let { label, name, value = '', error, help, origin, ...rest }: Props = $props();
</script>

<Field {label} {name} {error} help={help ?? ''} origin={origin ?? ''}>
  {#snippet children(attributes)}
    <input class="input w-full" autocomplete="off" {name} {value} {...rest} {...attributes} />
  {/snippet}
</Field>
