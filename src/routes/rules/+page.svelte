<script lang="ts">
  import { PART_FORMS } from '#core/rules/fields';
  import { YOUR_BOOK } from '#core/words/rules';
  import StateMark from '$lib/ui/StateMark.svelte';
  import type { Kept } from '$lib/ui/kept';
  import BookSheets from './BookSheets.svelte';
  import RuleForm from './RuleForm.svelte';
  import SeasonYear from './SeasonYear.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const book = $derived(data.book);
</script>

<svelte:head><title>Rules · Zaprud</title></svelte:head>

<div class="page two">
  <section>
    <h1>Rules</h1>
    <p class="quiet">{YOUR_BOOK} Zaprud never says that anything is legal.</p>
    <p><a class="link" href="/rules/schools">Schools: where practitioners differ</a></p>
    {#if data.saved}<p role="status"><b>Saved.</b></p>{/if}
    {#if !data.season}
      <p class="sheet mt-3">No line was begun yet. <a class="link" href="/begin">Begin one</a>, with its check interval.</p>
    {:else if book}
      <p class="mt-2 text-lg">
        <b>{book.jurisdiction}</b>{book.edition ? `, ${book.edition} edition` : ''}, version {book.version}
        <a class="link" href="/rules/book.json">save as a file</a>
      </p>
      <SeasonYear seasons={book.seasons} closures={book.closures} today={book.today} date={book.date} />
      {#if data.changed.length > 0}
        <section class="sheet mb-3" aria-labelledby="changed">
          <h2 id="changed">What version {book.version} changed for live sets</h2>
          {#each data.changed as c, n (n)}
            <p>
              <StateMark verdict={c.verdict === 'breaks' ? 'spent' : c.verdict === 'fits' ? 'fine' : 'unknown'} label={c.verdict} />
              <a class="link" href="/bench/{c.id}">{c.set}</a>: {c.text} <span class="quiet">{c.rule}</span>
            </p>
          {/each}
        </section>
      {/if}
      {#each book.parts as { part, rules } (part)}
        <h2 class="mt-3">{PART_FORMS[part].title}</h2>
        {#if rules.length === 0}<p class="quiet">The book says nothing.</p>{/if}
        <ul>
          {#each rules as rule (rule.id)}
            <li>
              {rule.text}
              <a class="link" href="/rules?part={part}&rule={rule.id}#change" data-sveltekit-noscroll
                >{rule.id}<span class="only-heard">: change it</span></a
              >
              {#if rule.said}<span class="quiet">{rule.said}</span>{/if}
            </li>
          {/each}
        </ul>
        <a class="link" href="/rules?part={part}#change">Add {PART_FORMS[part].one}</a>
      {/each}
    {:else}
      <p class="mt-3 text-lg">No rulebook is in force. Every set is checked {data.words}; nothing else is known.</p>
    {/if}
  </section>
  {#if data.season}
    <section class="side" id="change">
      {#if data.form && book}
        {#key `${data.form.part} ${data.form.rule}`}
          <RuleForm form={data.form} opened={book.entry} entry={data.ids.book} {kept} />
        {/key}
      {:else}
        <BookSheets
          books={data.books}
          book={book?.id ?? ''}
          rulebook={data.season.rulebook}
          rule={data.rule}
          opened={data.opened}
          ids={data.ids}
          {kept}
        />
      {/if}
    </section>
  {/if}
</div>

<style>
  li {
    padding: 4px 0;
  }
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 400px;
    gap: 28px;
    align-items: start;
  }
  .side {
    position: sticky;
    top: 8px;
    align-self: start;
  }
  @media (max-width: 900px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
    .side {
      position: static;
    }
  }
</style>
