<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  let { data } = $props();
</script>

<svelte:head><title>Water at each set · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/book">Book</a></p>
  <h1>Water at each set</h1>
  <p class="quiet">Estimated between readings; gaps over 2 days stay blank (rule of thumb).</p>
  <Scroller label="Water at each set"
    ><table class="plain-table mt-3">
      <thead
        ><tr
          ><th scope="col">Set</th><th scope="col">Out of its working range</th><th scope="col">From when to when</th><th scope="col"
            >How it stood when it caught</th
          ></tr
        ></thead
      >
      <tbody>
        {#each data.sets as s (s.id)}
          <tr>
            <td><a class="link font-bold" href="/book?set={s.id}">{s.name}</a></td>
            <td
              >{s.hours === 0 ? (s.unknown ? 'not in the time that is known' : 'never') : `${s.hours} h`}{#if s.unknown}<br /><span
                  class="quiet">{s.unknown} without readings</span
                >{/if}</td
            >
            <td>
              {#each s.spans.slice(-4) as span, i (i)}{span.text}<br />{:else}–{/each}
              {#if s.spans.length > 4}<details>
                  <summary class="cursor-pointer">{s.spans.length - 4} more, earlier</summary
                  >{#each s.spans.slice(0, -4) as span, i (i)}{span.text}<br />{/each}
                </details>{/if}
            </td>
            <td
              >{#each s.catches as c, i (i)}<a class="link" href="/book?kind=check&set={s.id}">{c.text}</a>: {c.stood}<br
                />{:else}–{/each}</td
            >
          </tr>
        {/each}
      </tbody>
    </table></Scroller
  >
</div>
