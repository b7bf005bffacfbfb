import { defineConfig } from 'vite';

/** The painter of the stage as one module, for the tests that compare it with the server's. */
export default defineConfig({
  define: { 'process.env.NODE_ENV': '"production"' },
  build: {
    outDir: 'target/parity',
    chunkSizeWarningLimit: 2000,
    lib: { entry: 'parity/entry.ts', formats: ['es'], fileName: 'painter' },
  },
});
