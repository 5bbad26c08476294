<script lang="ts">
  /** The sentence on top of a refused form; it is announced and takes the focus. */
  let { text }: { text: string | undefined } = $props();
  const focus = (node: HTMLElement) => node.focus();
</script>

{#if text}<p class="problem" role="alert" tabindex="-1" {@attach focus}>{text}</p>{/if}
