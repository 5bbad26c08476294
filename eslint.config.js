import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
  { ignores: ['build/', '.svelte-kit/', 'node_modules/', 'test-results/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      'svelte/no-navigation-without-resolve': 'off',
      'svelte/require-each-key': 'off',
    },
  },
  {
    // where the zero of a gauge lies is known to the frame, the gauge and what reads or writes the record; whatever prints takes a frame
    files: ['src/**/*.ts', 'src/**/*.svelte'],
    ignores: [
      'src/core/units/frame.ts',
      'src/core/water/{gauge,levelAt,placed}.ts',
      'src/core/stations/placed.ts',
      'src/core/sets/standing.ts',
      'src/core/record/{places,upgrade}.ts',
      'src/lib/season/season.ts',
      'src/lib/server/repositories/places.ts',
      'src/routes/{begin,waters}/+page.server.ts',
    ],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "Identifier[name='zero']",
          message: 'A level is printed and read through its Frame: the zero of a gauge does not occur here.',
        },
      ],
    },
  },
  {
    // without types: svelte-check has them, and with them a quarter of ./test went into one rule
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { extraFileExtensions: ['.svelte'], parser: ts.parser, svelteConfig } },
  },
);
