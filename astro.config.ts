import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import type { AstroIntegration } from 'astro';
import { defineConfig } from 'astro/config';

/** What every island needs: left to itself it is merged with what only some do, and the learner's page loads both. */
const BASE =
  /node_modules\/(?:react\/|react-dom\/(?:index|cjs\/react-dom\.production)|zustand\/)|vite\/preload-helper|commonjsHelpers|src\/ui\/(?:api|Alert|Confirm|Dialog|figures|wire|zone)\./;

/** What draws a scene, for every page that shows one. */
const SCENE =
  /src\/scene\/(?!Sketch|BoardSketch)|src\/core\/(?:geometry\/(?!arrange|bar|fit|simplePolygon|snap|spots)|judge\/(?:copy|homes|rest)\.|looks\/style|edit\/slots)/;
/** What the core needs to answer a drop; and what plays a question, for the learner's page and Rehearse. */
const JUDGE =
  /src\/core\/(?:judge\/(?!belong|checkpoint|keyed|model|placeByKey|placeChecked|placements|replay|response|tally|typed|verdict|when)|sitting\/named)/;
const PLAY = /src\/islands\/player\/(?!aids\/)/;
const DRAGGING = /node_modules\/@dnd-kit\//;
const CHUNKS: readonly [name: string, modules: RegExp][] = [
  ['base', BASE],
  ['scene', SCENE],
  ['judge', JUDGE],
  ['play', PLAY],
  ['dragging', DRAGGING],
];

/** The fast lane stands beside the page pipeline in what is built for the server, over the same modules. */
const fastLane: AstroIntegration = {
  name: 'fast-lane',
  hooks: {
    'astro:build:setup': ({ vite, target }) => {
      if (target !== 'server') return;
      vite.plugins?.push({
        name: 'fast-lane',
        buildStart() {
          this.emitFile({ type: 'chunk', id: 'src/lane.ts', fileName: 'lane.mjs', preserveSignature: 'strict' });
        },
      });
    },
  },
};

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  integrations: [react(), fastLane],
  // Believe the Host header (server.mjs strips the forwarded ones); without this, request.url has neither host nor
  // port. Origins are checked in the middleware.
  security: { allowedDomains: [{}], checkOrigin: false },
  devToolbar: { enabled: false },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "media-src 'self' data: blob:",
        "font-src 'self' blob:",
        // The board keeps what its questions show, for when the line is down.
        "connect-src 'self' blob:",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
    },
  },
  vite: {
    plugins: [tailwindcss()],
    // The learner's page has to stay within 1.45 times React, React DOM and dnd-kit (`npm run bench -- player`), which
    // esbuild's minifier and many small files exceed.
    build: {
      target: 'es2022',
      minify: 'terser',
      rollupOptions: {
        output: {
          experimentalMinChunkSize: 6000,
          onlyExplicitManualChunks: true,
          manualChunks: (id) => CHUNKS.find(([, modules]) => modules.test(id))?.[0],
        },
      },
      terserOptions: { ecma: 2020, module: true, compress: { passes: 3 }, format: { comments: false } },
    },
  },
});
