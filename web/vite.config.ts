import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { viteStaticCopy } from 'vite-plugin-static-copy';

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    // what finds a face in a camera's picture loads its own files by their names, and only when it is asked for
    viteStaticCopy({
      targets: [
        {
          src: 'node_modules/@mediapipe/face_mesh/face_mesh*',
          dest: 'face_mesh',
        },
      ],
    }),
  ],
  // core, compiled for the browser by this module's Maven build
  resolve: {
    alias: {
      'page-core': new URL('./target/page/page-core.js', import.meta.url).pathname,
      'page-live': new URL('./target/page/page-live.js', import.meta.url).pathname,
    },
  },
  build: { outDir: 'dist/static', sourcemap: false, chunkSizeWarningLimit: 900 },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:8480' } },
});
