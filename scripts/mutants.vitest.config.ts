import { defineConfig } from 'vitest/config'

/** The tests that mutants of core meet: core's own, without the slow ones over all layouts. */
export default defineConfig({
  test: { include: ['core/**/*.test.ts'], exclude: ['core/layouts/**', 'core/figures/**'], testTimeout: 180_000 },
})
