import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const server = `http://127.0.0.1:${process.env['PORT'] ?? 4870}`;

export default defineConfig({
  plugins: [react()],
  css: { modules: { localsConvention: 'camelCase' } },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    sourcemap: false,
    assetsInlineLimit: 0,
    // one file of styles: a page looks the same whichever other pages were open before
    cssCodeSplit: false,
    rolldownOptions: {
      // parts of antd that nothing uses, such as its forms, are left out: importing them has no effects
      treeshake: { moduleSideEffects: [{ test: /node_modules\/@rc-component\//, sideEffects: false }] },
      output: {
        // modules of many parts go into one file: hundreds of small files compress worse, and load later
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            {
              name: 'shared',
              test: /packages\/(core|wording)\/|apps\/web\/src\/(?!ui\/(antd|fields\/Choice))/,
              minShareCount: 5,
            },
          ],
        },
      },
    },
    chunkSizeWarningLimit: 900,
  },
  server: { port: 4871, proxy: { '/api': { target: server, ws: true, changeOrigin: true, headers: { origin: server } } } },
});
