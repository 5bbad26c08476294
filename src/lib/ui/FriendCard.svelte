<script lang="ts">
  import type { Card } from '#core/card/card';
  import type { OpenedCard } from '#core/card/opened';
  import { setTypeOf } from '#core/sets/catalogue';
  import { toldChoices } from '#core/sets/asked';
  import { sizeText } from '#core/devices/sizes';
  import { lureText } from '#core/lure/lure';
  import { datedText, dayText, type Clock } from '#core/time/clock';
  import { many } from '#core/units/many';
  import type { System } from '#core/units/factors';
  import { frameOn, levelText } from '#core/units/frame';
  import FittedDrawing from './drawing/FittedDrawing.svelte';
  import Section from './drawing/Section.svelte';
  import Scroller from './Scroller.svelte';
  import StateMark from './StateMark.svelte';

  /** A set on one page, for an experienced friend: section, both drawings, numbers, outcomes in order, what the water will do, what is asked. */
  let { card, it, system, clock }: { card: Card; it: OpenedCard; system: System; clock: Clock } = $props();

  /** so many rows of looks stand on one page */
  const LOOKS = 12;
  const told = ({ from, to }: OpenedCard['looks'][number]): string =>
    from === to ? datedText(new Date(from), clock) : `${dayText(new Date(from), clock)} to ${dayText(new Date(to), clock)}`;
  const type = $derived(setTypeOf(card.set.type));
  const name = $derived(`${card.set.number} ${card.set.name}`);
  const made = $derived(card.then[card.place.surface] ?? null);
  const level = $derived(card.now[card.place.surface]);
  const frame = $derived(frameOn(card.gauges, system, clock));
  const choices = $derived(toldChoices(type, card.choices).map(({ label, value }) => `${label.toLowerCase()} ${value}`));
  const devices = $derived(Object.values(card.devices).map((d) => sizeText(d.class, d.size)));
</script>

<article class="card-of-set">
  <p>
    <b>{type.name}</b> for {card.set.species} at {card.place.name} ({card.place.kind}), {card.place.water}; {card.set.state}{card.set.since
      ? ` since ${datedText(new Date(card.set.since), clock)}`
      : ''}.
  </p>
  {#each it.states as state (state.device)}
    <p class="judged">
      <StateMark verdict={state.verdict} label={state.label} />
      <span
        ><b>{state.label}</b>
        {state.sentence}</span
      >
    </p>
  {/each}
  <div class="section" inert>
    <Section
      scene={it.section}
      water={card.set.id}
      level={level ?? null}
      isWhatIf={false}
      valueText={level === undefined ? 'level not known' : levelText(level, frame, card.place.surface)}
      onlevel={() => undefined}
    />
  </div>
  <div class="pair">
    {#each ['eye', 'side'] as const as view (view)}
      <FittedDrawing
        design={it.design}
        {view}
        known={card.now}
        {made}
        surface={card.place.surface}
        {system}
        title="{name}, {view === 'eye' ? 'as it is met' : 'from the side'}"
        heading={view === 'eye' ? 'Front view' : 'Side view'}
      />
    {/each}
  </div>
  <div class="columns">
    <section>
      <h2>How it is built</h2>
      <p>
        {devices.join(' and ')}. {it.numbers.map((n) => `${n.label} ${n.text}`).join('; ')}.
        {#if choices.length > 0}{choices.join('; ')}.{/if}
        Tied to: {card.set.anchor || 'not written down'}. {card.lures ? `Draws: ${lureText(card.lures)}.` : ''}
      </p>
      {#each it.findings as f (f.id)}<p class="judged">
          <StateMark verdict={f.verdict === 'fails' ? 'outOfWater' : 'unknown'} label={f.verdict} />
          <span><b>{f.about}</b>: {f.sentence}</span>
        </p>{/each}
      {#if card.told.length > 0}
        <h2>Of its place</h2>
        {#each card.told as text (text)}<p>{text}</p>{/each}
      {/if}
    </section>
    <section>
      <h2>What came of it</h2>
      {#if card.outcomes.length === 0}<p class="quiet">Nobody looked yet.</p>{:else}
        <Scroller label="What every look found">
          <table class="plain-table">
            <thead><tr><th scope="col">Looked</th><th scope="col">Found</th><th scope="col">Then</th></tr></thead>
            <tbody
              >{#each it.looks.slice(-LOOKS) as look (look.from + look.found)}<tr
                  ><td>{told(look)}</td><td>{look.found}{look.count > 1 ? `, ${look.count} looks` : ''}</td><td
                    >{look.changed || 'as it was'}</td
                  ></tr
                >{/each}</tbody
            >
          </table>
        </Scroller>
        {#if it.looks.length > LOOKS}<p class="quiet">{many(it.looks.length - LOOKS, 'row')} before these.</p>{/if}
      {/if}
      <h2>What the water will do</h2>
      {#if it.ahead.length === 0}<p class="quiet">Nothing is forecast here.</p>{:else}
        <table class="plain-table">
          <thead><tr><th scope="col">In</th><th scope="col">Level</th><th scope="col">It stands</th></tr></thead>
          <tbody
            >{#each it.ahead as row (row.hours)}<tr><td>{row.hours} h</td><td>{row.level}</td><td>{row.stands}</td></tr>{/each}</tbody
          >
        </table>
      {/if}
    </section>
  </div>
  <h2>What {card.from} asks</h2>
  <p class="asks">{card.questions || 'What would you change?'}</p>
</article>

<style>
  .section {
    max-width: 1100px;
    overflow-x: auto;
    pointer-events: none;
  }
  .pair,
  .columns {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
    gap: 14px;
    margin: 10px 0;
  }
  h2 {
    margin-top: 10px;
  }
  p {
    margin: 4px 0;
  }
  .judged {
    display: flex;
    gap: 8px;
  }
  .judged :global(svg) {
    flex: none;
    margin-top: 4px;
  }
  .asks {
    font-size: 1.15rem;
    white-space: pre-line;
  }
</style>
