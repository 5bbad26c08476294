<script lang="ts">
  import { page } from '$app/state';

  const title = $derived(
    page.status === 404
      ? 'Page not found'
      : page.status === 503
        ? 'Database not available'
        : page.status === 413
          ? 'Too large'
          : 'That went wrong',
  );
</script>

<svelte:head><title>{title} · Zaprud</title></svelte:head>

<div class="page">
  <h1>{title}</h1>
  <p class="my-3" role="alert">{page.error?.message}</p>
  {#if page.error?.id}<p class="quiet">It stands in the log as <span class="mono">{page.error.id}</span>.</p>{/if}
  <p class="mt-4"><a class="btn btn-primary" href="/morning">To the rounds</a></p>
</div>
