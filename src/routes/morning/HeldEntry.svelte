<script lang="ts">
  import { enhance } from '$app/forms';

  /** What a device sent and the record could not take: both sides, and one tap. */
  interface Props {
    held: { id: string; what: string; by: string; when: string; reason: string; mine: string };
    /** why it was not taken just now either */
    problem?: string | undefined;
  }
  let { held, problem = '' }: Props = $props();
</script>

<form method="POST" action="?/decide" class="held" use:enhance aria-label="Held: {held.what}">
  <input type="hidden" name="held" value={held.id} />
  <p><b>Held, from the run: {held.what}</b> <span class="quiet">({held.by}, {held.when})</span></p>
  <p>{held.reason}</p>
  {#if held.mine}<p>From the run: {held.mine}</p>{/if}
  {#if problem}<p class="bad" role="alert">Still not taken: {problem}</p>{/if}
  <p class="flex gap-2 flex-wrap mt-2">
    <button class="btn" name="decision" value="take">Into the book, on top</button>
    <button class="btn" name="decision" value="leave">Leave it out</button>
  </p>
</form>

<style>
  .held {
    border: 2px solid var(--out);
    padding: 10px 14px;
    margin-bottom: 12px;
  }
  .bad {
    color: var(--out);
    font-weight: 700;
  }
</style>
