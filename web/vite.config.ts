import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 1_000,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // Each device lays all of it by: what two pages share comes in one file, not in a hundred of a kilobyte each.
          groups: [
            { name: 'start', tags: ['$initial'] },
            { name: 'chart', test: /node_modules\/(chart\.js|@kurkle)\//, priority: 1 },
            { name: 'shared', minShareCount: 2 },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4173' } },
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      // A new version waits until nobody is in a job.
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Iron Cradle',
        short_name: 'Iron Cradle',
        description: 'Fuel tank jobs, stop by stop.',
        theme_color: '#0B4B63',
        background_color: '#E4E8E5',
        display: 'standalone',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        skipWaiting: false,
        clientsClaim: true,
        globPatterns: ['**/*.{js,css,html,woff2,svg}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        // The log has its own way to the server; nothing of it is kept by the worker.
        runtimeCaching: [],
      },
    }),
  ],
});
