import { defineConfig } from 'vite';

// the custom element in one file, with core in it, for pages that are not ours
export default defineConfig({
  publicDir: false,
  resolve: {
    alias: { 'page-face': new URL('./target/page/page-face.js', import.meta.url).pathname },
  },
  build: {
    outDir: 'dist/live',
    sourcemap: false,
    chunkSizeWarningLimit: 900,
    lib: { entry: 'src/live/index.ts', formats: ['es'], fileName: () => 'leeward-face.js' },
  },
});
