import svelte from 'eslint-plugin-svelte';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
  { ignores: ['src/api/generated.ts'] },
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  {
    languageOptions: {
      globals: Object.fromEntries(
        ['window', 'document', 'fetch', 'setTimeout', 'clearTimeout', 'navigator', 'location'].map((n) => [n, 'readonly']),
      ),
    },
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
  },
);
