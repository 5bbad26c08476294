<script lang="ts">
  import { enhance } from '$app/forms';
  import type { BookPart } from '#core/rules/book';
  import { PART_FORMS } from '#core/rules/fields';
  import { CLASS_WORDS, DEVICE_CLASSES } from '#core/devices/sizes';
  import type { CheckRule } from '#core/time/deadline';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import RuleFields from '$lib/ui/RuleFields.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { ticked, typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  /** One rule of the book, to be changed, added or taken out. */
  interface Props {
    form: { part: BookPart; rule: string; every?: CheckRule | undefined; values: Record<string, string | string[]> };
    opened: string;
    entry: string;
    kept: Kept | null;
  }
  let { form, opened, entry, kept }: Props = $props();
  const own = $derived(PART_FORMS[form.part]);
  const one = (name: string): string => {
    const value = form.values[name];
    return typeof value === 'string' ? value : '';
  };
  const list = (name: string): string[] => {
    const value = form.values[name];
    return Array.isArray(value) ? value : [];
  };
  const word = (option: string): string =>
    (DEVICE_CLASSES as readonly string[]).includes(option) ? CLASS_WORDS[option as 'snare'] : option;
</script>

<form method="POST" action="?/rule&part={form.part}&rule={form.rule}" class="sheet" use:enhance={keeping}>
  <h2>{form.rule ? `Change ${form.rule}` : `Add ${own.one}`}</h2>
  <Problem text={kept?.problem} />
  <Opened entry={opened} {kept} />
  <input type="hidden" name="entry" value={typed(kept, 'entry', entry)} />
  <input type="hidden" name="part" value={form.part} />
  <input type="hidden" name="rule" value={form.rule} />
  <TextField
    label="Its name"
    name="id"
    value={typed(kept, 'id', form.rule)}
    error={kept?.errors?.id}
    help="short: every answer names the rule by it"
  />
  {#each own.fields as field (field.name)}
    {#if field.kind === 'interval'}
      <RuleFields {kept} rule={form.every} />
    {:else if field.kind === 'many'}
      <fieldset>
        <legend
          >{field.label}
          {#if field.help}<span class="quiet">{field.help}</span>{/if}</legend
        >
        {#each field.options ?? [] as option (option)}
          <label
            ><input
              type="checkbox"
              class="checkbox"
              name={field.name}
              value={option}
              checked={ticked(kept, field.name, option, list(field.name).includes(option))}
            />
            {word(option)}</label
          >
        {/each}
        {#if kept?.errors?.[field.name]}<p class="error">{kept.errors[field.name]}</p>{/if}
      </fieldset>
    {:else if field.kind === 'choice' || field.kind === 'yes'}
      <SelectField
        label={field.label}
        name={field.name}
        value={typed(kept, field.name, one(field.name))}
        error={kept?.errors?.[field.name]}
        options={[
          ...(field.optional ? [{ value: '', text: 'not said' }] : []),
          ...(field.kind === 'yes' ? ['no', 'yes'] : (field.options ?? [])).map((o) => ({ value: o, text: word(o) })),
        ]}
      />
    {:else}
      <TextField
        label={field.label}
        name={field.name}
        type={field.kind === 'date' ? 'date' : 'text'}
        value={typed(kept, field.name, one(field.name))}
        error={kept?.errors?.[field.name]}
        help={field.help ?? ''}
      />
    {/if}
  {/each}
  <button class="btn btn-primary" name="do" value="save">Save the rule</button>
  {#if form.rule}<button class="btn" name="do" value="remove">Take it out</button>{/if}
  <a class="btn btn-ghost" href="/rules">Leave it</a>
</form>

<style>
  fieldset {
    margin-bottom: 10px;
  }
  legend {
    font-weight: 600;
  }
  fieldset label {
    display: inline-flex;
    gap: 6px;
    align-items: center;
    min-height: 40px;
    margin-right: 14px;
  }
</style>
