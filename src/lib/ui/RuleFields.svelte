<script lang="ts">
  import type { CheckRule } from '#core/time/deadline';
  import SelectField from './SelectField.svelte';
  import TextField from './TextField.svelte';
  import { typed, type Kept } from './kept';

  let { kept, rule }: { kept: Kept | null; rule?: CheckRule | undefined } = $props();
  const every = $derived(rule ? String(rule.kind === 'elapsed' ? rule.hours : rule.days) : '24');
</script>

<SelectField
  label="Every set is looked at"
  name="ruleKind"
  value={typed(kept, 'ruleKind', rule?.kind ?? 'elapsed')}
  options={[
    { value: 'elapsed', text: 'within so many hours of the last check' },
    { value: 'calendarDay', text: 'by the end of the date so many days later' },
    { value: 'daylight', text: 'by the last light of that date' },
  ]}
/>
<TextField
  label="How many hours or days"
  name="every"
  inputmode="numeric"
  value={typed(kept, 'every', every)}
  error={kept?.errors?.every}
/>
<TextField
  label="Last light, minutes after sunset"
  name="after"
  inputmode="numeric"
  value={typed(kept, 'after', rule?.kind === 'daylight' ? String(rule.after) : '30')}
  error={kept?.errors?.after}
  help="only for checks by daylight"
/>
