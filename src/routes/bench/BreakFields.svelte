<script lang="ts">
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';

  /** A set that opens the dam opens it in the record when it goes live: prefilled, one tap to say no. */
  interface Props {
    opens: { words: string; width: string; bottom: string };
    kept: Kept | null;
  }
  let { opens, kept }: Props = $props();
  let opened = $derived(typed(kept, 'breakOpened', 'yes'));
</script>

<fieldset class="sheet mt-3">
  <legend class="only-heard">The break</legend>
  <h2>The break</h2>
  <p class="caution">Opening a dam can flood downstream. Get permission; check the law; never stand below it.</p>
  <p>This set opens the dam: {opens.words}.</p>
  <label class="choice"><input type="radio" class="radio" name="breakOpened" value="yes" bind:group={opened} /> I opened it</label>
  <label class="choice"
    ><input type="radio" class="radio" name="breakOpened" value="no" bind:group={opened} /> No break was opened for this set</label
  >
  {#if opened === 'yes'}
    <TextField
      label="Width of the break at the water"
      name="breakWide"
      value={typed(kept, 'breakWide', opens.width)}
      error={kept?.errors?.breakWide}
    />
    <TextField
      label="Bottom of the break, on the gauge"
      name="breakBottom"
      value={typed(kept, 'breakBottom', opens.bottom)}
      error={kept?.errors?.breakBottom}
      help="rule of thumb until you measure it; every set on this pond is forecast from it"
    />
  {/if}
</fieldset>

<style>
  .choice {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 34px;
  }
</style>
