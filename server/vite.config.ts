import { defineConfig } from 'vite'

/**
 * The server as one file for `npm start`: loading hundreds of small modules is most of what starting costs.
 * The database client stays outside, as its binary lies in its own package. The folder lies as deep as the
 * sources do, so that paths relative to a module hold for both.
 */
export default defineConfig({
  root: import.meta.dirname,
  logLevel: 'error',
  ssr: { noExternal: true, external: ['@libsql/client', 'libsql'] },
  build: {
    ssr: 'src/main.ts',
    outDir: 'dist/bundle',
    target: 'node20',
    minify: false,
    rollupOptions: { output: { entryFileNames: 'main.js', chunkFileNames: '[name].js' } },
  },
})
