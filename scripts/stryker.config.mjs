/**
 * Mutation testing: `npm run mutants` changes the code of these rooms a little at a time and runs their tests; a change that no test
 * notices is a gap. It takes hours: `npm run mutants -- --mutate 'core/place/**'` looks at one room. Not part of `npm test`.
 */
export default {
  mutate: ['core/{place,timing,text,tables,model}/**/*.ts', '!**/*.test.ts', '!**/index.ts'],
  testRunner: 'vitest',
  vitest: { configFile: 'scripts/mutants.vitest.config.ts' },
  plugins: ['@stryker-mutator/vitest-runner'],
  coverageAnalysis: 'perTest',
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: '.hailbank/mutants.json' },
  clearTextReporter: { allowColor: false, logTests: false },
  tempDirName: '.hailbank/stryker',
  // Databases that run, and what is built.
  ignorePatterns: ['.hailbank', '.output', '.nuxt', 'docs/screenshots', 'test-results'],
  concurrency: 2,
  // Words for people are not what is tested here.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  thresholds: { high: 90, low: 75, break: null },
}
