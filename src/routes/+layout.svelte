<script lang="ts">
  import '../app.css';
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { themeOf } from '$lib/ui/theme';
  import DayStrip from '$lib/ui/DayStrip.svelte';
  import GoTo from '$lib/ui/GoTo.svelte';
  import Waiting from '$lib/ui/Waiting.svelte';
  import { waitingHere } from '$lib/field/waitingHere';

  let { data, children } = $props();

  const ROOMS = [
    ['morning', 'Rounds'],
    ['waters', 'Waters'],
    ['bench', 'Bench'],
    ['colonies', 'Colonies'],
    ['book', 'Book'],
    ['shed', 'Shed'],
    ['rules', 'Rules'],
  ] as const;
  /** forms that this device keeps for a signal */
  let waits = $state(0);
  $effect(() => {
    void page.url.pathname;
    waits = waitingHere();
  });
  onMount(() => {
    // what a page does without script and what it does with it part here
    document.documentElement.dataset.script = 'runs';
  });
  $effect(() => {
    // the field part knows by itself whether it is night
    if (page.url.pathname !== '/field') document.documentElement.dataset.theme = themeOf(data.theme, data.sunIsDown, page.url.pathname);
  });
  const here = $derived(page.url.pathname.split('/')[1]);
  /** The run is for one hand: it keeps strip and rooms out of the way on a phone. */
  const field = $derived(here === 'check');
</script>

<a class="skip" href="#room">Go to the room</a>
{#if data.who}
  <header class:field>
    {#if data.day}<DayStrip strip={data.day.strip} owed={data.day.owed} />{/if}
    <nav aria-label="Rooms">
      <b>Zaprud</b>
      <div class="rooms">
        {#each ROOMS as [id, name] (id)}
          <a href="/{id}" class:on={here === id} aria-current={here === id ? 'page' : undefined}>{name}</a>
        {/each}
      </div>
      <div class="right">
        <a href="/people"
          >{data.line ? `${data.line.name}, season ${data.line.season} – ` : ''}{data.who.person.name}<span class="only-heard"
            >: change person, units or light</span
          ></a
        >
      </div>
    </nav>
  </header>
{/if}
{#each data.overdue as word (word.id)}
  <p class="overdue" role="alert"><a href="/morning/word#{word.id}">{word.text}</a></p>
{/each}
{#if waits > 0 && page.url.pathname !== '/field'}
  <p class="waits" role="status"><a href="/field">{waits === 1 ? '1 form waits' : `${waits} forms wait`} on this device to be sent</a></p>
{/if}
<Waiting />
{#if data.who}<GoTo />{/if}
<main id="room" tabindex="-1">{@render children()}</main>

<style>
  .skip {
    position: absolute;
    left: -999px;
    z-index: 9;
    background: var(--paper);
    padding: 8px;
  }
  .skip:focus {
    left: 8px;
    top: 8px;
  }
  .overdue {
    background: var(--out);
    padding: 10px 20px;
    font-weight: 700;
  }
  .waits {
    background: var(--ink);
    padding: 10px 20px;
    font-weight: 700;
  }
  .waits a,
  .overdue a {
    color: var(--paper);
  }
  nav {
    display: flex;
    align-items: end;
    background: var(--paper);
    border-bottom: 2px solid var(--ink);
    padding: 0 20px;
    gap: 2px;
  }
  nav b {
    font-size: 1.3rem;
    font-weight: 750;
    padding: 6px 26px 6px 0;
  }
  .rooms {
    display: flex;
    overflow-x: auto;
    padding-top: 4px;
  }
  .rooms a {
    padding: 7px 14px 8px;
    color: var(--mute);
    font-weight: 600;
  }
  .rooms a:hover {
    color: var(--ink);
  }
  .rooms a.on {
    background: var(--ink);
    color: var(--paper);
  }
  .rooms a:focus-visible {
    outline-offset: -3px;
  }
  .right {
    margin-left: auto;
    padding: 8px 0;
    color: var(--mute);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .right a:hover {
    text-decoration: underline;
  }
  main:focus {
    outline: none;
  }
  @media (max-width: 720px) {
    nav {
      padding: 0 10px;
      flex-wrap: wrap;
    }
    nav b {
      padding: 4px 0;
    }
    .rooms {
      order: 3;
      width: 100%;
    }
    .rooms a {
      padding: 10px 10px;
    }
    header.field :global(.strip),
    header.field .rooms,
    header.field nav b {
      display: none;
    }
    header.field nav {
      border-bottom: 0;
      background: var(--bg);
    }
    header.field .right {
      padding: 6px 0 0;
      font-size: 0.85rem;
    }
  }
  @media print {
    header {
      display: none;
    }
  }
</style>
