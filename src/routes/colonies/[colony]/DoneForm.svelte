<script lang="ts">
  import { enhance } from '$app/forms';
  import { dateText } from '#core/time/clock';
  import { localDate } from '#core/time/localTime';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import type { PageData } from './$types';

  /** Called done, with the day to look again; or not any more. */
  let { data, kept }: { data: PageData; kept: Kept | null } = $props();
  const { done } = $derived(data.form);
  const words = (date: string): string => dateText(date, data.story.nights.at(-1) ?? date, data.clock.hours);
  const mine = $derived(kept?.values?.lookBack === undefined ? null : kept);
</script>

{#if done}
  <form method="POST" action="?/open" class="sheet mt-2" use:enhance={keeping}>
    <p>
      <b>Called done {words(localDate(new Date(done.at), data.clock.zone))}</b>{done.chance === null
        ? ''
        : `, ${Math.floor(done.chance * 100)}% sure then that none was left`}. Look again {words(done.lookBack)}: dams, lodge and cuttings.
    </p>
    <Opened entry={data.form.opened} {kept} />
    <input type="hidden" name="doneEntry" value={data.form.doneEntry} />
    <button class="btn mt-2">It is not done after all</button>
  </form>
{:else if data.named}
  <details class="mt-2" open={data.clear.isClear || mine !== null}>
    <summary class="font-bold cursor-pointer"
      >{data.clear.isClear
        ? `At least ${Math.round(data.clear.at * 100)}% sure: call it done?`
        : `Call it done (from ${Math.round(data.clear.at * 100)}% sure${data.clear.chance === null ? '' : `, now ${Math.floor(data.clear.chance * 100)}%`})`}</summary
    >
    <form method="POST" action="?/done" class="asked-in-a-row" use:enhance={keeping}>
      <Problem text={mine?.problem} />
      <Opened entry={data.form.opened} {kept} />
      <input type="hidden" name="doneEntry" value={typed(mine, 'doneEntry', data.form.doneEntry)} />
      <TextField
        label="Look again on"
        name="lookBack"
        type="date"
        value={typed(mine, 'lookBack', data.form.lookBack)}
        error={mine?.errors?.lookBack}
        help="three weeks on by practice; Rounds bring it back"
      />
      <button class="btn btn-primary">Nobody is left: done</button>
    </form>
  </details>
{/if}
