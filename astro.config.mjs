import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';

/**
 * Fonts are preloaded (Page.astro). One that comes late all the same waits for the next page: a page never moves under
 * the finger because its letters change.
 */
const fontsThatStay = {
  name: 'fonts-that-stay',
  enforce: 'pre',
  transform: (code, id) =>
    /@fontsource.*\.css/.test(id) ? code.replaceAll('font-display: swap', 'font-display: optional') : null,
};

/** React's islands as the integration sets them up, but for how the server writes them. */
function reactInOneGo() {
  const own = react();
  const setUp = own.hooks['astro:config:setup'];
  return {
    ...own,
    hooks: {
      ...own.hooks,
      'astro:config:setup': (options) =>
        setUp({
          ...options,
          addRenderer: (renderer) =>
            options.addRenderer({ ...renderer, serverEntrypoint: '/src/layouts/react-renderer.ts' }),
        }),
    },
  };
}

const isBuild = process.argv.includes('build');

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  integrations: [reactInOneGo()],
  // The middleware checks the origin of every change itself, JSON included.
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  // Gathers the hashes of the scripts that start the islands; the middleware puts them into the header.
  experimental: { csp: true },
  build: { inlineStylesheets: 'never' },
  vite: {
    plugins: [fontsThatStay],
    worker: { format: 'es' },
    // A page gets of core only what it uses: reading a module of it does nothing but define.
    build: {
      chunkSizeWarningLimit: 1200,
      rollupOptions: { treeshake: { moduleSideEffects: (id) => !/\/src\/core\//.test(id) } },
    },
    // What React and its parts check while they are developed is left out of the server too, not only of the pages.
    define: isBuild ? { 'process.env.NODE_ENV': JSON.stringify('production') } : {},
    ssr: isBuild
      ? {
          noExternal: true,
          external: ['better-sqlite3', 'css-tree', 'pino', 'pdfkit', 'nodemailer', 'highs', 'papaparse', 'tinypool'],
        }
      : {},
  },
});
