<script lang="ts">
  import Field from './Field.svelte';

  /** A wall time of the line. Where the clocks show it twice, the form asks which of the two is meant. */
  interface Props {
    label: string;
    name: string;
    value: string;
    error?: string | undefined;
    help?: string;
  }
  let { label, name, value, error, help = 'local time of the line' }: Props = $props();
  const twice = $derived(error?.includes('twice') ?? false);
</script>

<Field {label} {name} {error} {help}>
  {#snippet children(attributes)}
    <input class="input w-full" type="datetime-local" {name} {value} {...attributes} />
    {#if twice}
      <label class="flex gap-3 items-center mt-2">
        Which of the two?
        <select class="select" name="{name}.which">
          <option value="first">the first, before the clocks go back</option>
          <option value="second">the second, after it</option>
        </select>
      </label>
    {/if}
  {/snippet}
</Field>
