<script lang="ts">
  import type { OwnShore } from '#core/ground/ownShore';
  import { findPlan, isUnsure } from '#core/scene/findPlan';
  import type { WhereItLies } from '#core/sets/whereItLies';
  import type { System } from '#core/units/factors';
  import { printLength } from '#core/units/length';
  import FindDrawing from './FindDrawing.svelte';

  /** Where a missing trap and its catch can lie, drawn and in the order to look. */
  let {
    holds,
    name,
    system,
  }: { holds: { device: string; found: WhereItLies | null; shore: OwnShore | 'open' | null }[]; name: string; system: System } = $props();
</script>

{#each holds as hold (hold.device)}
  {#if hold.found}
    {#if holds.length > 1}<h2 class="mt-3">{hold.device}</h2>{/if}
    <div class="two">
      <div>
        <FindDrawing
          plan={findPlan(hold.found, { width: 520, height: 340 }, hold.shore)}
          title="{name} from above: the trap lies within {printLength(
            hold.found.tether,
            system,
          )} of its anchor, the animal within {printLength(hold.found.reach, system)}"
        />
        {#if !hold.shore}<p class="quiet">
            Land and water are symbolic: no shore was drawn of this water, or the place is not on the map.
          </p>{:else if isUnsure(hold.shore, hold.found)}<p class="quiet">
            How far it stands from the shore is not known: <a class="link" href="/waters">put it in its place on the map</a>.
          </p>{/if}
      </div>
      <ol>
        {#each hold.found.places as place (place.say)}<li>{place.say}</li>{/each}
      </ol>
    </div>
  {/if}
{/each}

<style>
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 18px;
    margin-top: 12px;
    align-items: start;
  }
  ol {
    list-style: decimal;
    padding-left: 1.5rem;
    font-size: 1.1rem;
  }
  li {
    padding: 7px 0;
    border-bottom: 1px solid var(--rule);
  }
</style>
