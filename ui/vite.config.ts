import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  root: here('.'),
  plugins: [vue(), tailwindcss()],
  resolve: { alias: { '@': here('./src') } },
  build: {
    reportCompressedSize: false,
    rolldownOptions: { checks: { pluginTimings: false } },
    outDir: here('./dist'),
    emptyOutDir: true,
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8484' } },
})
