<script lang="ts">
  import Photo from './Photo.svelte';

  /** The last checks, newest first: a full dot is a catch, an open one untouched, a cross anything else. */
  interface Props {
    past: { at: string; found: string; photo?: string | null }[];
  }
  let { past }: Props = $props();
  const markOf = (found: string): string =>
    found.split(', ').includes('catch') ? '●' : found.split(', ').every((f) => f === 'untouched') ? '○' : '×';
</script>

<ul aria-label="Last checks">
  {#each past as { at, found, photo }, n (n)}
    {@const mark = markOf(found)}
    <li>
      <b aria-hidden="true">{mark}</b>
      {at} <span class:only-heard={mark === '○'}>{found}</span>{#if photo}<Photo id={photo} of="the check of {at}" />{/if}
    </li>
  {/each}
</ul>

<style>
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 16px;
    color: var(--mute);
    font-size: 0.9rem;
  }
  b {
    color: var(--ink);
    font-size: 1.05rem;
  }
</style>
