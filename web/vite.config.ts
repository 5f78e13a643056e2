import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

const server = `http://127.0.0.1:${process.env.OVERHAUL_PORT ?? 4117}`

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  build: { target: 'es2022', sourcemap: false },
  server: { port: 4118, proxy: { '/api': server } },
})
