<script lang="ts">
  import { MODEL_PLACES } from '#core/colony/modelPond';
  import { planOf, settingOf, type Picked } from '#core/colony/plans';
  import type { System } from '#core/units/factors';
  import { seeded } from '#core/sim/random';
  import { seedOf } from '#core/sim/colony/seasons';
  import { liveSeason } from '#core/sim/colony/trapline';
  import { nightText, seasonText } from '#core/words/plans';
  import { capital } from '#core/words/say';
  import { grouped } from '#core/units/many';

  /** One of the seasons, lived again night by night. */
  interface Props {
    picked: Picked;
    month: number;
    seasons: number;
    names: readonly [string, string];
    system: System;
  }
  let { picked, month, seasons, names, system }: Props = $props();
  let at = $state(1);
  let which = $state<0 | 1>(0);
  const season = $derived(
    liveSeason(seeded(seedOf(picked.seed, at - 1)), settingOf(picked.pond, month), planOf(picked.plans[which], picked.pond.minutes)),
  );
  const places = Object.fromEntries(MODEL_PLACES.map(({ id, name }) => [id, name]));
</script>

<section class="mt-5">
  <h2>One of these seasons</h2>
  <div class="pick">
    <label>
      Season
      <input
        class="input"
        type="number"
        min="1"
        max={seasons}
        value={at}
        oninput={(event) => {
          const typed = event.currentTarget.valueAsNumber;
          if (typed >= 1 && typed <= seasons) at = Math.floor(typed);
        }}
      />
      of {grouped(seasons)}
    </label>
    {#each names as name, n (name)}
      <button type="button" class="btn" class:btn-primary={which === n} aria-pressed={which === n} onclick={() => (which = n === 0 ? 0 : 1)}
        >{capital(name)}</button
      >
    {/each}
  </div>
  <p class="mt-1"><b>{seasonText(season)}</b></p>
  <ol>
    {#each season.nights as night, n (n)}
      <li class:catch={night.caught > 0}>{nightText(night, places, system)}</li>
    {/each}
  </ol>
</section>

<style>
  .pick {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 12px;
    align-items: center;
  }
  .pick input {
    width: 6rem;
  }
  ol {
    list-style: decimal inside;
    columns: 2 24rem;
    margin-top: 4px;
  }
  li {
    break-inside: avoid;
    padding: 2px 0;
  }
  .catch {
    font-weight: 650;
  }
</style>
