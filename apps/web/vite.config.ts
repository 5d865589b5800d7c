import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const server = `http://127.0.0.1:${process.env['PORT'] ?? 4870}`;

export default defineConfig({
  plugins: [react()],
  css: { modules: { localsConvention: 'camelCase' } },
  worker: { format: 'es' },
  build: { target: 'es2022', sourcemap: false, assetsInlineLimit: 0, cssCodeSplit: false, chunkSizeWarningLimit: 900 },
  server: { port: 4871, proxy: { '/api': { target: server, ws: true } } },
});
