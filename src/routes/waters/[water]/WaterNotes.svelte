<script lang="ts">
  interface Props {
    water: string;
    dammed: boolean;
    /** what the reading says of the endangered */
    toGo: string | null;
    clarity: string | null;
    crest: string | null;
    /** rises that somebody told and that are not all there yet */
    told: { entry: string; text: string }[];
  }
  let { water, dammed, toGo, clarity, crest, told }: Props = $props();
</script>

<nav aria-label="This water">
  <a class="btn" href="/waters/{water}/read">Scouting guides</a>
  <a class="btn" href="/waters/{water}/count">Counting</a>
  <a class="btn" href="/morning/nothing?water={water}">Nothing caught?</a>
  <a class="btn" href="/waters/{water}/guide">Where and with what</a>
  <a class="btn" href="/waters/{water}/ledger">Ledger</a>
  <a class="btn" href="/waters/plan?water={water}">Plan here</a>
  <a class="btn" href="/waters/{water}/levels">Levels</a>
  <a class="btn" href="/waters/{water}/ice">Ice</a>
  {#if dammed}<a class="btn" href="/waters/{water}/break">Breaks</a>
    <a class="btn" href="/waters/{water}/fills">What fills it</a>{/if}
</nav>
<p>
  {#if toGo}<b>{toGo}</b>{/if}
  {clarity ?? ''}
  {crest ?? ''}
</p>

{#if told.length > 0}
  <ul aria-label="Told">
    {#each told as t (t.entry)}<li><b>{t.text}</b> <a class="link" href="/book/{t.entry}">Take back</a></li>{/each}
  </ul>
{/if}

<style>
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-bottom: 8px;
  }
  p {
    margin-bottom: 10px;
  }
</style>
