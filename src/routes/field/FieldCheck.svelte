<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { Check } from '#core/record/kinds';
  import { fieldOfCheck, readCheck } from '#lib/check/checkForm';
  import { checkPage } from '#lib/check/page';
  import CheckScreen from '$lib/check/CheckScreen.svelte';
  import { againstSchemas } from '#lib/form/againstSchemas';
  import { newId } from '#lib/form/newId';
  import { reader } from '#lib/form/reader';
  import type { Field } from '$lib/field/client.svelte';
  import type { Season } from '#lib/season/season';
  import type { Kept } from '$lib/ui/kept';
  import type { SubmitFunction } from '@sveltejs/kit';
  import { draftOf, keepDraft, letGo } from './draft';

  /** The check of one set on the device: what the desk asks, read by the same code, kept here until the record has it. */
  interface Props {
    field: Field;
    season: Season;
    set: string;
  }
  let { field, season, set: id }: Props = $props();

  const set = $derived(season.sets.find((s) => s.id === id));
  const view = $derived(season.views.find((v) => v.id === id));
  const outcome = $derived(page.url.searchParams.get('outcome'));
  const firstDraft = () => (outcome === null ? null : draftOf(id));
  const draft = firstDraft();
  let kept = $state.raw<Kept | null>(draft?.outcome === page.url.searchParams.get('outcome') ? { values: draft?.values ?? {} } : null);
  const ids = { entry: newId(), id: newId() };
  const data = $derived.by(() => {
    const { facts, asker } = field;
    if (!facts || !asker || !set || !view) return null;
    const { past, caught, supplies, people } = facts;
    return { ...checkPage({ season, set, view, outcome }, { past: past[id] ?? [], caught, supplies, people }, asker), ids };
  });
  const link = (of: string, query: Record<string, string> = {}): string =>
    `/field?${new URLSearchParams({ set: of, ...query }).toString()}`;

  const send: SubmitFunction = ({ formData, action, cancel }) => {
    cancel();
    void save(formData, action.search === '?/quick');
  };

  async function save(form: FormData, isQuick: boolean): Promise<void> {
    const { facts, asker } = field;
    if (!facts || !asker || !set || !view) return;
    if (isQuick) for (const d of view.devices) form.set(`${d.stay}.outcome`, String(form.get('outcome')));
    const read = reader(form, asker.who);
    const entries = await readCheck(read, {
      season,
      set,
      view,
      ...asker,
      supplies: facts.supplies,
      surfacesAt: () => season.surfaces,
    }).catch((error: unknown) => {
      if (!(error instanceof RangeError)) throw error;
      read.refuse('at', 'That is longer ago than this device knows the levels of. Enter it at the desk.');
      return null;
    });
    const visit = entries?.[0]?.body as Check | undefined;
    const sound = entries && visit ? againstSchemas(read, entries, fieldOfCheck(visit)) : null;
    if (!sound) {
      kept = { problem: 'Not saved: look at the marked fields.', errors: read.errors, values: read.values };
      return;
    }
    await field.keep(`Check of ${view.number} ${view.name}`, sound);
    letGo(id);
    await goto('/field');
  }

  function remember(event: Event): void {
    const { form } = event.target as HTMLInputElement;
    if (form && outcome !== null) keepDraft(id, outcome, new FormData(form));
  }
</script>

{#if data && view}
  {#if outcome === null && draftOf(id)}
    <p class="half">
      <a class="btn" href={link(id, { outcome: draftOf(id)?.outcome ?? 'other' })}>Go on with what was half filled</a>
    </p>
  {/if}
  <div oninput={remember} onchange={remember} role="presentation">
    <CheckScreen
      {data}
      {kept}
      {link}
      {send}
      keepPhoto={(photo) => field.keepPhoto(photo)}
      system={field.asker?.who.person.system ?? 'us'}
      person={field.asker?.who.person.id ?? ''}
      home={{ href: '/field', name: 'The run' }}
      isDesk={false}
    />
  </div>
{:else}
  <div class="page">
    <p>There is no such set on this device.</p>
    <p><a class="link" href="/field">The run</a></p>
  </div>
{/if}

<style>
  .half {
    max-width: 560px;
    margin: 0 auto;
    padding: 8px 14px;
    background: var(--paper);
  }
  .half .btn {
    min-height: 56px;
    width: 100%;
  }
</style>
