import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  publicDir: 'web/public',
  build: {
    outDir: 'dist/web',
    emptyOutDir: true,
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      // parts of the component library that nothing of is used: they do nothing by being loaded, and do not
      // say so. With them came every field's question whether it stands in a form: the whole of its forms
      treeshake: { moduleSideEffects: [{ test: /@rc-component\//, sideEffects: false }] },
    },
  },
  worker: { format: 'es' },
  server: { port: 5173, proxy: { '/api': `http://127.0.0.1:${process.env['PORT'] ?? 4810}` } },
});
