<script lang="ts">
  interface Props {
    water: string;
    isPond: boolean;
    /** what the reading says of the endangered */
    toGo: string | null;
    clarity: string | null;
    crest: string | null;
  }
  let { water, isPond, toGo, clarity, crest }: Props = $props();
</script>

<nav aria-label="This water">
  <a class="btn" href="/waters/{water}/read">Scouting guides</a>
  <a class="btn" href="/waters/{water}/count">Counting</a>
  <a class="btn" href="/waters/{water}/ledger">Ledger</a>
  <a class="btn" href="/waters/plan?water={water}">Plan here</a>
  <a class="btn" href="/waters/{water}/levels">Levels</a>
  <a class="btn" href="/waters/{water}/ice">Ice</a>
  {#if isPond}<a class="btn" href="/waters/{water}/break">Breaks</a>
    <a class="btn" href="/waters/{water}/fills">What fills it</a>{/if}
</nav>
<p>
  {#if toGo}<b>{toGo}</b>{/if}
  {clarity ?? ''}
  {crest ?? ''}
</p>

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
