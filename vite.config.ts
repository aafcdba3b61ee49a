import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  publicDir: 'web/public',
  build: { outDir: 'dist/web', emptyOutDir: true, chunkSizeWarningLimit: 900 },
  worker: { format: 'es' },
  server: { port: 5173, proxy: { '/api': `http://127.0.0.1:${process.env['PORT'] ?? 4810}` } },
});
