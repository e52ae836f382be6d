import withNuxt from './.nuxt/eslint.config.mjs'
import { roomsRule } from './scripts/lint/rooms.mjs'

export default withNuxt(
  { ignores: ['docs/**', 'dist/**'] },
  {
    files: ['**/*.{ts,vue,mjs}'],
    plugins: { house: { rules: { rooms: roomsRule } } },
    rules: {
      'house/rooms': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-dynamic-delete': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
      'no-restricted-globals': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'Buffer', 'localStorage', 'navigator', 'setTimeout', 'setInterval'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'Core is seeded by record id.' }, { object: 'Date', property: 'now', message: 'Core has no clock.' }],
    },
  },
)
