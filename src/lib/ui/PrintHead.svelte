<script lang="ts">
  import PrintButton from './PrintButton.svelte';

  /** The heading of a page that is also a sheet of paper. */
  interface Props {
    title: string;
    /** what the button says; null where there is nothing to print yet */
    button?: string | null;
  }
  let { title, button = 'Print' }: Props = $props();
</script>

<div class="head">
  <h1>{title}</h1>
  {#if button}<PrintButton label={button} />{/if}
</div>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 12px;
    justify-content: space-between;
    align-items: start;
  }
  h1 {
    flex: 1 1 16rem;
  }
</style>
