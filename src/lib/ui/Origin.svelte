<script lang="ts">
  /** Where a figure comes from, as a tag; a rule of thumb is one sign, which its key on the page explains. */
  let { text }: { text: string } = $props();

  const THUMB = 'rule of thumb';
  const isThumb = $derived(text.endsWith(THUMB));
  const figure = $derived(isThumb ? text.slice(0, -THUMB.length).replace(/, $/, '') : text);
</script>

{#if figure}<span class="tag">{figure}</span>{/if}{#if isThumb}<abbr title={THUMB}
    ><span aria-hidden="true">≈</span><span class="only-heard">{THUMB}</span></abbr
  >{/if}

<style>
  .tag {
    border: 1px solid var(--rule);
    color: var(--mute);
    background: var(--paper);
    padding: 0 5px;
    margin-right: 6px;
    font-size: 0.85rem;
  }
  abbr {
    display: inline-grid;
    place-items: center;
    width: 20px;
    height: 20px;
    margin-right: 6px;
    border: 1px solid var(--mute);
    border-radius: 50%;
    color: var(--mute);
    background: var(--paper);
    font-size: 0.9rem;
    line-height: 1;
    text-decoration: none;
  }
</style>
