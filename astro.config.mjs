import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  integrations: [react()],
  // The middleware checks the origin of every change itself, JSON included.
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  // Gathers the hashes of the scripts that start the islands; the middleware puts them into the header.
  experimental: { csp: true },
  build: { inlineStylesheets: 'never' },
  vite: {
    worker: { format: 'es' },
    // A page gets of core only what it uses: reading a module of it does nothing but define.
    build: {
      chunkSizeWarningLimit: 1200,
      rollupOptions: { treeshake: { moduleSideEffects: (id) => !/\/src\/core\//.test(id) } },
    },
    ssr: process.argv.includes('build')
      ? {
          noExternal: true,
          external: ['better-sqlite3', 'css-tree', 'pino', 'pdfkit', 'nodemailer', 'highs', 'papaparse', 'tinypool'],
        }
      : {},
  },
});
