<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Field } from '$lib/field/client.svelte';
  import { placingEntries, placingOf } from '#lib/field/placing';
  import { newId } from '#lib/form/newId';
  import { reader } from '#lib/form/reader';
  import { designScene } from '#core/scene/designScene';
  import { designOf } from '#lib/season/oneSet';
  import type { Season } from '#lib/season/season';
  import Arming from '$lib/ui/Arming.svelte';
  import Asked from '$lib/ui/Asked.svelte';
  import DesignDrawing from '$lib/ui/drawing/DesignDrawing.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';

  /** A set that was planned at the desk goes live where it stands: its traps, its anchor, the level, the arming check. */
  interface Props {
    field: Field;
    season: Season;
    id: string;
  }
  let { field, season, id }: Props = $props();

  let kept = $state.raw<Kept | null>(null);
  const entry = newId();
  const set = $derived(season.sets.find((s) => s.id === id && s.state !== 'live'));
  const view = $derived(season.views.find((v) => v.id === id));
  const asked = $derived(set && field.asker ? placingOf(season, set, field.asker) : null);
  const system = $derived(field.asker?.who.person.system ?? 'us');
  const scene = $derived.by(() => {
    if (!set || !view || !field.asker) return null;
    const { design } = designOf(season, set, field.asker);
    const known = season.levels[view.station.water]?.known ?? {};
    return designScene(design, { view: 'side', known, surface: view.station.surface, frame: { width: 390, height: 190 }, system });
  });

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const { asker } = field;
    if (!asker || !set) return;
    const read = reader(new FormData(event.currentTarget as HTMLFormElement), asker.who);
    const entries = await placingEntries(read, season, set, asker);
    if (!entries) {
      kept = { problem: 'Not live yet: look at the marked fields.', errors: read.errors, values: read.values };
      return;
    }
    await field.keep(`Placed ${set.number} ${set.name}`, entries);
    await goto('/field');
  }
  /** faults of what only the bench can change */
  const elsewhere = $derived(
    Object.entries(kept?.errors ?? {}).filter(([name]) => /^[nc]\./.test(name) || ['state', 'name', 'number', 'at'].includes(name)),
  );
</script>

{#if set && view && asked && scene}
  <form class="one" onsubmit={save}>
    <p class="quiet"><a class="link" href="/field">The run</a></p>
    <h1>{set.number} {set.name}</h1>
    <p class="quiet">{view.typeName} at {view.station.name}</p>
    <DesignDrawing {scene} title="{view.typeName} at {view.station.name}, from the side" />
    <Problem text={kept?.problem} />
    {#each elsewhere as [name, sentence] (name)}<p class="bad">{sentence}</p>{/each}
    <input type="hidden" name="entry" value={entry} />
    <input type="hidden" name="opened" value={set.entry} />
    {#each asked.kept as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
    {#if asked.caution}<p class="bad">{asked.caution}</p>{/if}
    {#each asked.devices as { position, label, chosen, options } (position)}
      <SelectField
        {label}
        name="d.{position}"
        value={typed(kept, `d.${position}`, chosen)}
        {options}
        error={kept?.errors?.[`d.${position}`]}
      />
    {/each}
    <TextField
      label="Anchored to what, and where?"
      name="anchor"
      value={typed(kept, 'anchor', set.anchor)}
      error={kept?.errors?.anchor}
      help="how the trap is found again"
    />
    <TextField
      label="Hole in the ice"
      name="hole"
      value={typed(kept, 'hole', set.hole)}
      error={kept?.errors?.hole}
      help="its number, where there is one"
    />
    <Asked name="level" {kept} />
    <TextField
      label="Level on the gauge now"
      name="level"
      value={typed(kept, 'level')}
      error={kept?.errors?.level}
      help={system === 'us' ? 'for example 31 3/4 in' : 'for example 80 cm'}
    />
    <Arming groups={asked.arming} {kept} state="live" />
    {#if kept?.errors?.despite}
      <TextField label="It goes live all the same, because" name="despite" value={typed(kept, 'despite')} error={kept.errors.despite} />
    {/if}
    {#if kept?.errors?.exemption}
      <TextField label="Exemption that allows it" name="exemption" value={typed(kept, 'exemption')} error={kept.errors.exemption} />
    {/if}
    <button class="btn btn-primary btn-lg mt-3">It is live</button>
  </form>
{:else}
  <div class="page">
    <p>That set is live already, or is not on this device.</p>
    <p><a class="link" href="/field">The run</a></p>
  </div>
{/if}

<style>
  .bad {
    color: var(--out);
    font-weight: 700;
  }
</style>
