import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import react from '@vitejs/plugin-react';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';

const out = join(import.meta.dirname, '../public/build');

/** A compressed twin beside every script and style, for servers that do not compress as they go. */
function compressedTwins(): Plugin {
  return {
    name: 'compressed-twins',
    closeBundle() {
      const folder = join(out, 'assets');
      for (const name of readdirSync(folder)) {
        if (/\.(js|css)$/.test(name)) {
          const file = join(folder, name);
          writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }));
        }
      }
    },
  };
}

export default defineConfig({
  base: '/build/',
  publicDir: false,
  plugins: [react(), compressedTwins()],
  build: {
    outDir: out,
    emptyOutDir: true,
    manifest: true,
    modulePreload: { polyfill: false },
    // A data: font or picture would need a looser content policy.
    assetsInlineLimit: 0,
    rollupOptions: {
      input: { staff: 'src/staff/main.tsx', client: 'src/client/main.tsx' },
      // Every server knows how to send a .js; not every one knows .mjs.
      output: {
        assetFileNames: ({ names }) =>
          names.some((name) => name.endsWith('.mjs')) ? 'assets/[name]-[hash].js' : 'assets/[name]-[hash][extname]',
      },
      onwarn(warning, warn) {
        if (warning.code !== 'MODULE_LEVEL_DIRECTIVE') warn(warning);
      },
    },
  },
  test: {
    environment: 'jsdom',
    include: ['src/**/*.test.{ts,tsx}'],
    setupFiles: ['src/staff/testing/setup.test-helper.ts'],
    restoreMocks: true,
    testTimeout: 30_000,
  },
});
