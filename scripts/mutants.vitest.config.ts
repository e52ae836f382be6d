import { defineConfig, mergeConfig } from 'vitest/config'
import base from '../vitest.config'

/** The tests that mutants of core meet: core's own, without the slow ones over all layouts. */
export default mergeConfig(
  base,
  defineConfig({ test: { include: ['core/**/*.test.ts'], exclude: ['core/layouts/**', 'core/figures/**'] } }),
)
