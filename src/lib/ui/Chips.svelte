<script lang="ts">
  /** One of a few, or any of a few, as places that a wet thumb can hit. */
  interface Props {
    legend: string;
    name: string;
    options: readonly { value: string; text: string }[];
    /** the ones chosen; one at most where only one can be */
    chosen: readonly string[];
    /** any number of them */
    many?: boolean;
    error?: string | undefined;
    onpick?: (value: string) => void;
  }
  let { legend, name, options, chosen, many = false, error, onpick }: Props = $props();
</script>

<fieldset class="chips" aria-describedby={error ? `${name}-error` : undefined}>
  <legend class="font-semibold">{legend}</legend>
  {#if error}<p class="error" id="{name}-error">{error}</p>{/if}
  <div>
    {#each options as { value, text } (value)}
      <label
        ><input type={many ? 'checkbox' : 'radio'} {name} {value} checked={chosen.includes(value)} onchange={() => onpick?.(value)} /><span
          >{text}</span
        ></label
      >
    {/each}
  </div>
</fieldset>

<style>
  .chips {
    margin-bottom: 10px;
    min-width: 0;
  }
  .chips div {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  label {
    position: relative;
    cursor: pointer;
  }
  input {
    position: absolute;
    inset: 0;
    opacity: 0;
    width: 100%;
    height: 100%;
    cursor: pointer;
  }
  span {
    display: flex;
    align-items: center;
    min-height: 56px;
    padding: 4px 16px;
    border: 2px solid var(--mute);
    font-weight: 650;
  }
  input:checked + span {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--paper);
  }
  input:focus-visible + span {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  .error {
    color: var(--out);
    font-weight: 600;
  }
</style>
