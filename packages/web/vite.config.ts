import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    sourcemap: false,
    assetsInlineLimit: 0,
    manifest: true,
    reportCompressedSize: false,
    // The toolkit gathers every component's style in one value that nothing here asks for.
    rolldownOptions: {
      treeshake: { manualPureFunctions: ['defineConfig', 'defineRecipe', 'defineSlotRecipe'] },
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4600' } },
});
