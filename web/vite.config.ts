import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig(({ mode }) => ({
  plugins: [tailwindcss(), svelte()],
  build: { outDir: '../garnetfern/web', emptyOutDir: true, target: 'es2022' },
  // state classes are tested as the browser runs them
  resolve: mode === 'test' ? { conditions: ['browser'] } : {},
  test: { include: ['tests/**/*.test.ts'], environment: 'node' },
}));
