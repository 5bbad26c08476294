<script lang="ts">
  import type { SubmitFunction } from '@sveltejs/kit';
  import { page } from '$app/state';
  import { againstSchemas } from '#lib/form/againstSchemas';
  import { newId } from '#lib/form/newId';
  import { reader } from '#lib/form/reader';
  import { runPage } from '#lib/run/page';
  import { readShare } from '#lib/run/readShare';
  import RunScreen from '$lib/run/RunScreen.svelte';
  import type { Field } from '$lib/field/client.svelte';
  import type { Season } from '#lib/season/season';
  import type { Kept } from '$lib/ui/kept';

  /** The order of the day, worked out on the device from what it knows. */
  let { field, season }: { field: Field; season: Season } = $props();
  let kept = $state.raw<Kept | null>(null);
  let entry = $state(newId());
  const day = $derived.by(() => {
    const { facts, asker } = field;
    if (!facts || !asker) return null;
    return runPage(season, page.url.searchParams, { catches: facts.catches, people: facts.people }, asker);
  });

  const send: SubmitFunction = ({ formData, cancel }) => {
    cancel();
    const { asker } = field;
    if (!asker) return;
    const read = reader(formData, asker.who);
    const found = readShare(read, season, asker);
    const sound = found && againstSchemas(read, [found]);
    if (!sound) {
      kept = { problem: 'Not saved: look at the marked fields.', errors: read.errors, values: read.values };
      return;
    }
    kept = null;
    entry = newId();
    void field.keep('Who goes where', sound);
  };
</script>

<div class="page">
  <p class="no-print"><a class="link" href="/field">The run</a></p>
  {#if day}
    <RunScreen {day} link={(set) => `/field?set=${set}`} keep={{ run: '1' }} isDesk={false} share={{ entry, kept, send }} />
  {/if}
</div>
