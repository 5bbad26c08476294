import { readdirSync } from 'node:fs';
import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

const steps = readdirSync(new URL('db/migrations', import.meta.url))
  .filter((name) => name.endsWith('.ts'))
  .sort();

export default defineConfig({ plugins: [tailwindcss(), sveltekit()], define: { __NEWEST_STEP__: JSON.stringify(steps.at(-1) ?? '') } });
