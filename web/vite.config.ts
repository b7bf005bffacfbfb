import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { defineConfig, type Plugin } from 'vite';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';

/** Almost as small as can be, in a tenth of the time. */
const WELL = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } };

/** Compressed once, by the build: doing so at every request takes longer than sending. */
const compressed: Plugin = {
  name: 'compressed',
  apply: 'build',
  async writeBundle({ dir = 'dist' }) {
    const assets = join(dir, 'assets');
    for (const name of await readdir(assets)) {
      if (!/\.(js|css)$/.test(name)) continue;
      const content = await readFile(join(assets, name));
      await writeFile(join(assets, `${name}.br`), brotliCompressSync(content, WELL));
      await writeFile(join(assets, `${name}.gz`), gzipSync(content, { level: 9 }));
    }
  },
};

export default defineConfig({
  plugins: [react(), tailwindcss(), compressed],
  build: {
    // The compiled core is large, and stays the same when the interface changes: it is a file of its
    // own that browsers keep, and so are the libraries.
    chunkSizeWarningLimit: 1800,
    // Part of what GET /api/notices tells.
    license: { fileName: 'licences.md' },
    rollupOptions: {
      checks: { bundlerTimings: false },
      output: {
        manualChunks: (id: string) =>
          id.includes('/core/generated/core.js')
            ? 'core'
            : id.includes('/node_modules/')
              ? 'libraries'
              : undefined,
      },
    },
  },
});
