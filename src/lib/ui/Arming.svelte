<script lang="ts">
  import type { armingCheck } from '#core/sets/arming';
  import { ticked, type Kept } from '$lib/ui/kept';

  interface Props {
    groups: ReturnType<typeof armingCheck>;
    kept: Kept | null;
    /** only a live set is armed */
    state: string;
    /** of a live set of which nothing was changed: it asks again only when something is */
    repeat?: boolean;
  }
  let { groups, kept, state, repeat = false }: Props = $props();

  /** `y` answers yes and goes on to the next question */
  function answered(event: KeyboardEvent): void {
    if (event.key !== 'y' || event.ctrlKey || event.metaKey || event.altKey) return;
    const box = event.currentTarget as HTMLInputElement;
    box.checked = true;
    const all = [...(box.form?.querySelectorAll<HTMLInputElement>('input[name="arm"]') ?? [])];
    all[all.indexOf(box) + 1]?.focus();
    event.preventDefault();
  }
</script>

{#snippet questions()}
  {#if groups.length === 0}<p>Choose the trap by its tag first.</p>{/if}
  {#each groups as group (group.position)}
    <h3 class="mt-2">{group.label}</h3>
    <p class="caution">{group.caution}</p>
    {#each group.asks as ask (ask.id)}
      <label
        ><input
          type="checkbox"
          class="checkbox"
          name="arm"
          value={ask.id}
          checked={ticked(kept, 'arm', ask.id)}
          onkeydown={answered}
          title="y is yes, and on to the next"
        />
        <span>{ask.text}</span></label
      >
    {/each}
  {/each}
  {#if kept?.errors?.arm}<p class="error" id="arm-error">{kept.errors.arm}</p>{/if}
{/snippet}

{#if state === 'live'}
  <fieldset class="sheet mt-3" aria-describedby={kept?.errors?.arm ? 'arm-error' : undefined}>
    <legend class="only-heard">Arming check</legend>
    {#if repeat && !kept?.errors}
      <details>
        <summary><h2>Arming check</h2></summary>
        <p class="quiet">Asked again when a number, a choice or a trap changes: that is a remake.</p>
        {@render questions()}
      </details>
    {:else}
      <h2>Arming check</h2>
      {@render questions()}
    {/if}
  </fieldset>
{/if}

<style>
  label {
    display: flex;
    gap: 12px;
    align-items: center;
    padding: 6px 0;
    min-height: 44px;
  }
  summary {
    cursor: pointer;
  }
  summary h2 {
    display: inline;
  }
  .caution {
    color: var(--out);
    font-weight: 600;
  }
  .error {
    color: var(--out);
    font-weight: 700;
    margin-top: 6px;
  }
</style>
