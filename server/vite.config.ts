import { defineConfig } from 'vite'

/**
 * The server as one file for `npm start`: loading hundreds of small modules is most of what starting costs.
 * What works beside it is a file of its own. The database client stays outside, as its binary lies in its own package, and so does
 * what starts workers. The folder lies as deep as the
 * sources do, so that paths relative to a module hold for both.
 */
export default defineConfig({
  root: import.meta.dirname,
  logLevel: 'error',
  ssr: { noExternal: true, external: ['@libsql/client', 'libsql', 'piscina'] },
  build: {
    ssr: true,
    outDir: 'dist/bundle',
    target: 'node20',
    minify: false,
    rollupOptions: {
      input: { main: 'src/main.ts', bench: 'src/bench/work.ts', rail: 'src/rail/work.ts', press: 'src/print/press.ts' },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' },
    },
  },
})
