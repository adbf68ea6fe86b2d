import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { viteStaticCopy } from 'vite-plugin-static-copy';

/** The rules are on their way while the page's own script still is. */
const rulesAhead: Plugin = {
  name: 'rules-ahead',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((file) => /\/page-core-[^/]*\.js$/.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'modulepreload', crossorigin: true, href: `/${file}` },
          injectTo: 'head' as const,
        })),
  },
};

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    rulesAhead,
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
  build: {
    outDir: 'dist/static',
    sourcemap: false,
    chunkSizeWarningLimit: 900,
    // an icon or a word that two benches use is no file of its own: a browser fetches six at a time
    rolldownOptions: {
      output: {
        codeSplitting: { groups: [{ name: 'shared', test: /lucide-react|\/web\/src\//, minShareCount: 2 }] },
      },
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:8480' } },
});
