<script lang="ts">
  import { tick } from 'svelte';
  import { goto } from '$app/navigation';

  /** Every room, page and set by its name, from the keyboard: `?` or Ctrl and K opens it, arrows and Enter go there. */
  interface Place {
    text: string;
    href: string;
  }
  const PAGES: readonly Place[] = [
    { text: 'Rounds', href: '/morning' },
    { text: 'The run of the day', href: '/morning/run' },
    { text: 'The round on paper', href: '/morning/paper' },
    { text: 'Type the round in', href: '/morning/typed' },
    { text: 'Nobody can come', href: '/morning/away' },
    { text: 'Leave word at home', href: '/morning/word' },
    { text: 'Nothing caught?', href: '/morning/nothing' },
    { text: 'The run without a signal', href: '/field' },
    { text: 'Mark a place', href: '/field?mark=1' },
    { text: 'Share the day by two', href: '/morning/run?people=2' },
    { text: 'Waters', href: '/waters' },
    { text: 'Plan for an evening', href: '/waters/plan' },
    { text: 'Weather', href: '/waters/weather' },
    { text: 'How fast sign ages', href: '/waters/sign' },
    { text: 'Import and export', href: '/waters/exchange' },
    { text: 'Bench', href: '/bench' },
    { text: 'Set types', href: '/bench/catalogue' },
    { text: 'Gear list', href: '/bench/carry' },
    { text: 'Colonies', href: '/colonies' },
    { text: 'Book', href: '/book' },
    { text: 'Shed', href: '/shed' },
    { text: 'Rules', href: '/rules' },
    { text: 'Schools', href: '/rules/schools' },
    { text: 'People and settings', href: '/people' },
  ];
  let dialog: HTMLDialogElement;
  let isOpen = $state(false);
  let named = $state<Place[]>([]);
  let typed = $state('');
  let at = $state(0);
  const found = $derived(
    [...PAGES, ...named].filter(({ text }) =>
      typed
        .toLowerCase()
        .split(/\s+/)
        .every((word) => text.toLowerCase().includes(word)),
    ),
  );

  async function show(): Promise<void> {
    [typed, at, isOpen] = ['', 0, true];
    await tick();
    dialog.showModal();
    const answer = await fetch('/places.json').catch(() => null);
    if (answer?.ok) named = (await answer.json()) as Place[];
  }
  const isTyping = (target: EventTarget | null): boolean =>
    target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));
  function opens(event: KeyboardEvent): void {
    const isAsked = event.key === '?' ? !isTyping(event.target) : event.key === 'k' && (event.ctrlKey || event.metaKey);
    if (!isAsked || isOpen) return;
    event.preventDefault();
    void show();
  }
  function steps(event: KeyboardEvent): void {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const place = found[at];
    if (by) {
      event.preventDefault();
      at = Math.min(Math.max(0, at + by), found.length - 1);
      document.getElementById(`to-${at}`)?.scrollIntoView({ block: 'nearest' });
    } else if (event.key === 'Enter' && place) {
      event.preventDefault();
      dialog.close();
      void goto(place.href);
    }
  }
</script>

<svelte:window onkeydown={opens} />

<dialog bind:this={dialog} aria-label="Go to" class="no-print" onclose={() => (isOpen = false)}>
  {#if isOpen}
    <label
      >Go to
      <input
        class="input w-full"
        role="combobox"
        aria-expanded="true"
        aria-controls="to"
        aria-activedescendant={found.length > 0 ? `to-${at}` : undefined}
        autocomplete="off"
        bind:value={typed}
        oninput={() => (at = 0)}
        onkeydown={steps}
      /></label
    >
    <ul id="to" role="listbox" aria-label="Pages, waters and sets">
      {#each found as place, i (place.href)}
        <li
          id="to-{i}"
          role="option"
          aria-selected={i === at}
          onpointerup={() => {
            dialog.close();
            void goto(place.href);
          }}
        >
          {place.text}
        </li>
      {/each}
    </ul>
    <p class="quiet small">? or Ctrl K opens this, arrows choose, Enter goes, Esc closes.</p>
  {/if}
</dialog>

<style>
  dialog {
    margin: 10vh auto auto;
    width: min(34rem, 94vw);
    padding: 14px;
    background: var(--paper);
    color: var(--ink);
    border: 2px solid var(--ink);
  }
  dialog::backdrop {
    background: color-mix(in srgb, var(--ink) 35%, transparent);
  }
  ul {
    max-height: 50vh;
    overflow-y: auto;
    margin: 8px 0;
  }
  li {
    padding: 6px 10px;
    cursor: pointer;
  }
  li[aria-selected='true'] {
    background: var(--ink);
    color: var(--paper);
  }
</style>
