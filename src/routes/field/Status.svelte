<script lang="ts">
  import { spanText, whenText } from '#core/time/clock';
  import type { Field } from '$lib/field/client.svelte';
  import type { Keeping } from '$lib/field/device';
  import type { Season } from '#lib/season/season';

  /** As of when the device knows what it shows, what still waits here, and whether the browser keeps it. */
  interface Props {
    field: Field;
    season: Season;
    keeping: Keeping | null;
  }
  let { field, season, keeping }: Props = $props();

  const count = $derived(field.waiting.length);
  const asOf = $derived(field.snapshot ? whenText(field.snapshot.taken, field.now, season.clock) : '');
  const says = $derived.by(() => {
    if (field.isSending) return count > 0 ? `Sending ${count} …` : 'Asking the record …';
    if (count > 0) return `${count} ${count === 1 ? 'waits' : 'wait'} here for a signal`;
    return field.isReached === false ? 'No signal' : 'All is in the record';
  });
  const astray = $derived(
    field.astray === null ? '' : `${spanText(Math.abs(field.astray))} ${field.astray > 0 ? 'ahead of' : 'behind'} the record`,
  );
</script>

<section class="own" aria-label="This device">
  <div class="line">
    <p role="status"><b>{says}</b><br /><span class="quiet">Facts as of {asOf}</span></p>
    <button class="btn send" onclick={() => field.sync()} disabled={field.isSending}>{count > 0 ? 'Send now' : 'Refresh'}</button>
  </div>
  {#if field.state === 'refused'}
    <p class="bad">
      The record answered and took nothing. What waits stays here; open Zaprud at the desk and see whether this device is still paired, and
      who works on it.
    </p>
  {/if}
  {#if astray}
    <div class="ask" role="alert">
      <p>The clock of this device now runs {astray}, and {count} {count === 1 ? 'form carries' : 'forms carry'} its time.</p>
      <button class="btn btn-primary" onclick={() => field.settle(true)}>Move them to the time of the record</button>
      <button class="btn" onclick={() => field.settle(false)}>Their time is right</button>
    </div>
  {/if}
  {#each field.told as { id, label, reason } (id)}
    <div class="ask" role="alert">
      <p><b>{label} waits for you on Rounds.</b> {reason}</p>
      <button class="btn" onclick={() => field.seen(id)}>Seen</button>
    </div>
  {/each}
  {#if keeping && (!keeping.isOffline || !keeping.isLasting)}
    <p class="quiet">
      {#if !keeping.isOffline}This browser keeps no page without https: leave this one open while you are out.
      {:else}This browser may throw away what it keeps when it runs short of room. Send before you leave it for days.{/if}
    </p>
  {/if}
  {#if count > 0}
    <details>
      <summary>What waits</summary>
      <ol>
        {#each field.waiting as form, i (form.id)}
          <li>
            {form.label}, {whenText(form.entries[0]?.occurredAt ?? field.now, field.now, season.clock)}
            {#if i === count - 1}<button class="btn" onclick={() => field.takeBack(form)} disabled={field.isSending}>Take it back</button
              >{/if}
          </li>
        {/each}
      </ol>
    </details>
  {/if}
</section>

<style>
  .own {
    max-width: 560px;
    margin: 0 auto;
    padding: 10px 14px;
    display: grid;
    gap: 8px;
    background: var(--paper);
    border-bottom: 2px solid var(--ink);
  }
  .line {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 10px;
  }
  .send {
    min-height: 56px;
  }
  .ask {
    border: 2px solid var(--out);
    padding: 10px;
    display: grid;
    gap: 8px;
  }
  .ask .btn {
    min-height: 56px;
  }
  .bad {
    color: var(--out);
    font-weight: 700;
  }
  summary {
    min-height: 44px;
    align-content: center;
    cursor: pointer;
  }
  ol {
    list-style: decimal inside;
  }
</style>
