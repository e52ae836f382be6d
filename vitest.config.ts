import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  resolve: { alias: { '#core': here('./core'), '#stage': here('./stage'), '#player': here('./player') } },
  test: { include: ['{core,server,stage,player,app,demo,scripts}/**/*.test.ts'], testTimeout: 180_000 },
})
