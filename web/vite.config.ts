import optimizeLocales from '@react-aria/optimize-locales-plugin'
import babel from '@rolldown/plugin-babel'
import react, { reactCompilerPreset } from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { compression } from 'vite-plugin-compression2'

const server = `http://127.0.0.1:${process.env.OVERHAUL_PORT ?? 4117}`

/** The rooms where every keystroke is drawn. Forms and tables tell what changed in objects of their own, which the compiler takes for the same. */
const STAND = /\/web\/src\/(stand|tape|drawing|features|ui\/(?!DataTable|FormField|FormRow))/

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    // What a component draws and hands on is kept while nothing it depends on has changed: one entry redraws what it touches.
    babel({ include: STAND, presets: [reactCompilerPreset()] }),
    // The bench speaks one language: the parts' words in the others stay out.
    { ...optimizeLocales.vite({ locales: ['en-US'] }), enforce: 'pre' },
    compression({ algorithms: ['brotliCompress'], include: /\.(js|css|svg)$/, threshold: 1000 }),
  ],
  build: { target: 'es2022', sourcemap: false },
  server: { port: 4118, proxy: { '/api': server } },
})
