import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import Unimport from 'unimport/unplugin'
import { defineConfig } from 'vitest/config'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const alias = { '#core': here('./core'), '#stage': here('./stage'), '#player': here('./player') }
/** Generous: machines are shared, and a test that is slow there is not wrong. */
const patience = { testTimeout: 180_000, hookTimeout: 180_000 }
const asksDatabase = 'server/{database,decks,live,tables,fonts}/**/*.test.ts'

export default defineConfig({
  test: {
    // As many files at once as there are cores: nothing else runs beside them.
    maxWorkers: '100%',
    reporters: ['default', here('./scripts/testing/slowest.ts')],
    projects: [
      {
        resolve: { alias },
        test: { name: 'code', include: ['{core,server,stage,player,demo,scripts}/**/*.test.ts'], exclude: [asksDatabase], ...patience },
      },
      {
        // Against a real PostgreSQL.
        resolve: { alias },
        test: {
          name: 'database',
          include: [asksDatabase],
          globalSetup: here('./scripts/testing/cluster.ts'),
          setupFiles: [here('./server/testing/copy.ts')],
          ...patience,
        },
      },
      {
        // What Nuxt imports by itself is imported here too; what it does for the application stands in app/testing.
        plugins: [
          vue(),
          Unimport.vite({
            presets: [
              'vue',
              'pinia',
              { from: here('./app/testing/nuxt.ts'), imports: ['navigateTo', 'useRoute', 'useRouter', 'useState', 'useToast'] },
            ],
            dirs: [here('./app/composables'), here('./app/stores')],
          }),
        ],
        resolve: { alias: { ...alias, '~': here('./app') } },
        test: {
          name: 'app',
          environment: 'jsdom',
          setupFiles: [here('./app/testing/setup.ts')],
          include: ['app/**/*.test.ts'],
          ...patience,
        },
      },
    ],
  },
})
