import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // The page's policy allows fonts and images from here only, so nothing may be inlined as data.
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env['UMBEL_PORT'] ?? '8080'}` } },
});
