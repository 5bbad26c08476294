<script lang="ts">
  import { SITUATIONS } from '#core/rules/book';
  import type { Answer, RuleVerdict } from '#core/rules/judge';
  import { dateText, wallText } from '#core/time/clock';
  import type { System } from '#core/units/factors';
  import { many } from '#core/units/many';
  import { answerText, YOUR_BOOK } from '#core/words/rules';
  import type { BenchData } from '$lib/server/benchData';
  import SelectField from '$lib/ui/SelectField.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import type { BenchDesign } from '$lib/bench/design.svelte';

  /** What the user's own rulebook says of the set, every answer with its rule; what it asks is said here. */
  let { bench, it, kept, system }: { bench: BenchData; it: BenchDesign; kept: Kept | null; system: System } = $props();

  const rules = $derived(bench.rules);
  const reader = $derived({
    system,
    date: (date: string) => dateText(date, rules?.today ?? date, rules?.hours ?? 24),
    time: (time: string) => wallText(time, rules?.hours ?? 24),
  });
  const text = (answer: Answer): string => answerText(answer as never, reader);
  const of = (...wanted: RuleVerdict[]): Answer[] => it.answers.filter((a) => wanted.includes(a.verdict));
  const against = $derived(of('breaks'));
  /** the day on which it opens, where it is closed and that is known */
  const opens = $derived(against.flatMap((a) => (a.code === 'closed' && a.values.opens ? [a.values.opens] : []))[0]);
  function prepare(): void {
    it.fields.state = 'prepared';
    it.fields.opens = opens ?? '';
  }
  const asks = $derived(of('asks', 'told'));
  const quiet = $derived(of('fits', 'silent'));
  /** what is asked by a field of its own is not ticked */
  const ticked = (a: Answer): boolean => !['situationAsked', 'submersionAsked', 'loopWants'].includes(a.code);
  const open = $derived(of('asks').length);
</script>

{#if rules}
  <section class="sheet mt-3" aria-labelledby="ruled">
    <h2 id="ruled">By your rulebook</h2>
    <input type="hidden" name="ruled" value="yes" />
    {#each against as answer (answer.rule + answer.code)}
      <p class="line">
        <StateMark verdict="spent" label="against the book" /> <span><b>{text(answer)}</b> <span class="quiet">{answer.rule}</span></span>
      </p>
    {/each}
    {#if opens && it.fields.state !== 'prepared'}
      <button type="button" class="btn btn-sm" onclick={prepare}>Prepare it for {reader.date(opens)}</button>
    {/if}
    {#if against.length > 0 || typed(kept, 'exemption', bench.fields.exemption) !== ''}
      <TextField
        label="Exemption that allows it"
        name="exemption"
        value={typed(kept, 'exemption', bench.fields.exemption)}
        error={kept?.errors?.exemption}
        help="from whom, its number"
      />
    {/if}
    <details open={open > 0 && against.length > 0}>
      <summary
        >{open > 0 ? many(open, 'thing to say', 'things to say') : against.length > 0 ? 'The rest' : 'Nothing stands against it'}</summary
      >
      <SelectField
        label="It stands"
        name="situation"
        value={it.fields.situation}
        error={kept?.errors?.situation}
        onchange={(e) => (it.fields.situation = (e.currentTarget as HTMLSelectElement).value)}
        options={[{ value: '', text: 'not said' }, ...SITUATIONS.map((s) => ({ value: s, text: s }))]}
      />
      {#each asks as answer (answer.rule + answer.code)}
        {#if ticked(answer)}
          <label class="tick">
            <input type="checkbox" class="checkbox" name="attested" value={answer.rule} bind:group={it.attested} />
            <span>{text(answer)} <span class="quiet">{answer.rule}</span></span>
          </label>
        {:else}
          <p class="line">
            <StateMark verdict="unknown" label="not said" /> <span>{text(answer)} <span class="quiet">{answer.rule}</span></span>
          </p>
        {/if}
      {/each}
      {#each quiet as answer, n (n)}
        <p class="line">
          <StateMark
            verdict={answer.verdict === 'fits' ? 'fine' : 'unknown'}
            label={answer.verdict === 'fits' ? 'as the book has it' : 'the book is silent'}
          />
          <span>{text(answer)} <span class="quiet">{answer.rule ?? ''}</span></span>
        </p>
      {/each}
      {#if bench.rulebook}<p class="own">{bench.rulebook}</p>{/if}
      <p class="quiet">
        {rules.book.jurisdiction}, version {rules.version}{rules.judged !== null && rules.judged !== rules.version
          ? `; went live by version ${rules.judged}`
          : ''}. {YOUR_BOOK}
      </p>
    </details>
  </section>
{:else if bench.rulebook}
  <details>
    <summary>Your rulebook</summary>
    <p class="own">{bench.rulebook}</p>
  </details>
{/if}

<style>
  .line,
  .tick {
    display: flex;
    gap: 8px;
    margin: 6px 0;
    align-items: start;
  }
  .tick {
    min-height: 40px;
    align-items: center;
  }
  .line :global(svg) {
    flex: none;
    margin-top: 3px;
  }
  summary {
    cursor: pointer;
    min-height: 40px;
    align-content: center;
  }
  .own {
    white-space: pre-line;
  }
</style>
