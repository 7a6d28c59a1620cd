import { fileURLToPath } from 'node:url';
import imports from 'eslint-plugin-import';
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
        ['window', 'document', 'fetch', 'setTimeout', 'clearTimeout', 'navigator', 'location', 'crypto', 'EventSource'].map(
          (n) => [n, 'readonly'],
        ),
      ),
    },
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
  },
  {
    // no two modules need each other, types left out
    plugins: { import: imports },
    settings: {
      'import/extensions': ['.ts', '.svelte'],
      'import/parsers': { '@typescript-eslint/parser': ['.ts'], [fileURLToPath(new URL('./eslint.svelte.js', import.meta.url))]: ['.svelte'] },
      'import/resolver': { typescript: { project: './tsconfig.json', extensions: ['.ts', '.svelte', '.svelte.ts'] } },
    },
    rules: { 'import/no-cycle': ['error', { ignoreExternal: true }] },
  },
);
