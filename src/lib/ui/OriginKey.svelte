<script lang="ts">
  import Origin from './Origin.svelte';
</script>

<p class="quiet key"><Origin text="rule of thumb" /> rule of thumb: common practice, no published source</p>

<style>
  .key {
    font-size: 0.9rem;
    margin-top: 14px;
  }
</style>
