import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    // In the row there is often no signal: the program and the sheets that were opened are kept on the phone.
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: null,
      manifest: {
        name: 'Umbel in the row',
        short_name: 'Umbel',
        start_url: '/',
        display: 'standalone',
        background_color: '#fbfbf8',
        theme_color: '#241f1c',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^(?:\/farms\/[a-z0-9]+)?\/api\//],
        runtimeCaching: [
          {
            urlPattern: /\/api\/field\//,
            handler: 'NetworkFirst',
            options: {
              cacheName: 'sheets',
              networkTimeoutSeconds: 4,
              expiration: { maxEntries: 600, maxAgeSeconds: 60 * 60 * 24 * 14 },
            },
          },
        ],
      },
    }),
  ],
  // The page's policy allows fonts and images from here only, so nothing may be inlined as data.
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  server: {
    proxy: { '^(?:/farms/[a-z0-9]+)?/api/': `http://127.0.0.1:${process.env['UMBEL_PORT'] ?? '8080'}` },
  },
});
