<script lang="ts">
  import { USED_BEFORE } from '#core/check/advice';
  import { enhance } from '$app/forms';
  import { ANSWERS } from '#core/record/checks';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  /** The second untouched in a row: three questions, and one change is offered. The check itself is saved already. */
  let { kept, entry, corrects }: { kept: Kept | null; entry: string; corrects: string } = $props();
  const options = ANSWERS.filter((a) => a !== 'not asked').map((a) => ({ value: a, text: a }));
</script>

<form method="POST" action="?/ask" class="page w-full" use:enhance={keeping}>
  <Problem text={kept?.problem} />
  <h2>Untouched twice in a row</h2>
  <p class="quiet mb-3">The check is saved. Three questions, then one change.</p>
  <input type="hidden" name="entry" value={typed(kept, 'entry', entry)} />
  <input type="hidden" name="corrects" value={corrects} />
  <SelectField label="Seen on camera?" name="seenOnCamera" value={typed(kept, 'seenOnCamera', 'do not know')} {options} />
  <SelectField label="Place in use?" name="inUse" value={typed(kept, 'inUse', 'do not know')} {options} />
  <SelectField
    label="What was used here before?"
    name="usedBefore"
    value={typed(kept, 'usedBefore', 'not known')}
    options={USED_BEFORE.map((u) => ({ value: u, text: u }))}
    error={kept?.errors?.['asked.usedBefore']}
    help="by you or by others"
  />
  <button class="btn btn-primary btn-lg w-full">What would change it?</button>
  <p class="mt-3"><a class="link" href="/morning?saved={corrects}">Not now: back to the rounds</a></p>
</form>
