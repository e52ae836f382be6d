import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** The player as one script and one style sheet, for pages that stand alone. */
export default defineConfig({
  root: here('../player/alone'),
  plugins: [vue()],
  define: {
    'process.env.NODE_ENV': '"production"',
    __VUE_OPTIONS_API__: 'true',
    __VUE_PROD_DEVTOOLS__: 'false',
    __VUE_PROD_HYDRATION_MISMATCH_DETAILS__: 'false',
  },
  resolve: { alias: { '#core': here('../core'), '#stage': here('../stage'), '#player': here('../player') } },
  build: {
    outDir: here('../.output/alone'),
    emptyOutDir: true,
    cssCodeSplit: false,
    lib: {
      entry: here('../player/alone/main.ts'),
      formats: ['iife'],
      name: 'hailbankPlayer',
      fileName: () => 'player.js',
      cssFileName: 'player',
    },
  },
})
