import babel from '@rolldown/plugin-babel';
import react, { reactCompilerPreset } from '@vitejs/plugin-react';
import { resolve } from 'node:path';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { chunksByView } from './scripts/chunks.js';

/** Keeps the pages themselves for a reload without the server, old ones evicted; data is never kept by it. */
const keptPages = VitePWA({
  registerType: 'autoUpdate',
  injectRegister: false,
  manifest: false,
  workbox: {
    globPatterns: ['**/*.{html,js,css,svg,woff2}'],
    maximumFileSizeToCacheInBytes: 6_000_000,
    inlineWorkboxRuntime: true,
    // The page that brought it in is looked after at once, not from its next reload on.
    clientsClaim: true,
    skipWaiting: true,
    navigateFallback: null,
    runtimeCaching: [
      {
        urlPattern: ({ request, url }) => request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
        handler: 'NetworkFirst',
        options: { cacheName: 'pages', precacheFallback: { fallbackURL: '/index.html' } },
      },
    ],
  },
});

export default defineConfig({
  root: 'web',
  plugins: [react(), babel({ presets: [reactCompilerPreset()] }), keptPages],
  resolve: {
    alias: {
      // Its package hands every bundler the build that warns programmers.
      'react-router': resolve(import.meta.dirname, 'node_modules/react-router/dist/production/index.mjs'),
    },
  },
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    sourcemap: false,
    // The server reads in it what a job's page needs first.
    manifest: true,
    chunkSizeWarningLimit: 1200,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            // In a file of its own it runs before the others.
            {
              name: 'early',
              test: /(core\/days|web\/(early|opening\/first-header|api\/(prefetch|stores|tab|last-me)|shell\/tabs|theme\/(mode|tokens)))\.ts$|\/idb-keyval\//,
              priority: 3,
            },
            { name: 'first', tags: ['$initial'], priority: 2 },
            ...chunksByView(1),
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
});
