<script lang="ts">
  let { label = 'Print' }: { label?: string } = $props();
</script>

<button type="button" class="btn no-print" onclick={() => window.print()}>{label}</button>
