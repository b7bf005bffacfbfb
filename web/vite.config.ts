import { defineConfig } from 'vite';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    // The compiled core is large, and stays the same when the interface changes: it is a file of its
    // own that browsers keep, and so are the libraries.
    chunkSizeWarningLimit: 1400,
    // Part of what GET /api/notices tells.
    license: { fileName: 'licences.md' },
    rollupOptions: {
      output: {
        manualChunks: (id: string) =>
          id.includes('/core/generated/')
            ? 'core'
            : id.includes('/node_modules/')
              ? 'libraries'
              : undefined,
      },
    },
  },
});
