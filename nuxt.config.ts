import { fileURLToPath } from 'node:url'
import { emojiTrimmed, namespacesApart, writeIcons } from './scripts/trim.mjs'
import { answerHeaders } from './server/policy'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const icons = here('./node_modules/.cache/hailbank-icons')
/** What does nothing by being loaded alone: what a page does not use of it, it does not carry. */
const still = /\/(core|node_modules\/(papaparse|prosemirror-[a-z]+|roughjs|svgpath|@dagrejs|d3-[a-z]+))\//

export default defineNuxtConfig({
  // The build has a folder of its own, so that types and lint can be looked at beside it.
  buildDir: process.env.HAILBANK_BUILD_FOLDER || '.nuxt',
  modules: ['@nuxt/ui', '@pinia/nuxt', '@nuxt/eslint'],
  // Every page stands behind a sign-in or a screen's token and lives in the browser: nothing is gained by rendering it twice.
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  compatibilityDate: '2026-03-01',
  alias: { '#core': here('./core'), '#stage': here('./stage'), '#player': here('./player') },
  css: ['~/assets/main.css'],
  app: {
    head: {
      title: 'Hailbank',
      htmlAttrs: { lang: 'en' },
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
    },
  },
  ui: { fonts: false, theme: { colors: ['primary', 'secondary', 'neutral', 'error', 'warning', 'success', 'info'] } },
  colorMode: { preference: 'system', fallback: 'light' },
  icon: {
    provider: 'server',
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    clientBundle: { scan: true, sizeLimitKb: 512 },
  },
  components: [{ path: '~/components', pathPrefix: false }],
  // Nothing is rendered on the server, so no state is handed over from it.
  experimental: { renderJsonPayloads: false, payloadExtraction: false, appManifest: false },
  hooks: {
    'build:before': () => writeIcons(here('./node_modules/@tabler/icons'), here('./node_modules/emojibase-data'), icons),
    // What fetches icons comes with the layout that shows them.
    'app:resolve': app => {
      app.plugins = app.plugins.filter(plugin => !/@nuxt[/\\]icon[/\\]/.test(plugin.src))
    },
  },
  nitro: {
    experimental: { websocket: true },
    // Files that never change are compressed once, as they are built.
    compressPublicAssets: { gzip: true, brotli: true },
    errorHandler: here('./server/error.ts'),
    routeRules: { '/**': { headers: answerHeaders } },
    esbuild: { options: { target: 'es2022' } },
    externals: { external: ['jsdom', 'sharp', 'piscina'] },
    typescript: { strict: true },
    // The icons that ship, as text: read when an icon is first looked for.
    serverAssets: [{ baseName: 'icons', dir: icons }],
  },
  vite: {
    plugins: [emojiTrimmed(), namespacesApart()],
    resolve: { alias: { 'tailwindcss/colors': here('./app/assets/no-colors.ts') } },
    define: { __VUE_OPTIONS_API__: false },
    build: { rollupOptions: { treeshake: { moduleSideEffects: (id: string) => !still.test(id) } } },
    worker: { format: 'es' },
    optimizeDeps: { include: ['zod', 'yjs', 'y-protocols/awareness', 'lib0/encoding', 'lib0/decoding', 'papaparse', 'y-prosemirror'] },
  },
  typescript: { strict: true, typeCheck: false },
})
