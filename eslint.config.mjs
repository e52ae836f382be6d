import withNuxt from './.nuxt/eslint.config.mjs'
import { lengthRule } from './scripts/lint/length.mjs'
import { roomsRule } from './scripts/lint/rooms.mjs'

/** The database itself, or a variable that is called as it is everywhere. */
const databaseAsked = ':matches([callee.object.name="sql"], [callee.object.callee.name="database"])'

export default withNuxt(
  { ignores: ['docs/**', 'dist/**'] },
  {
    files: ['**/*.{ts,vue,mjs}'],
    plugins: { house: { rules: { length: lengthRule, rooms: roomsRule } } },
    rules: {
      'house/rooms': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-dynamic-delete': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
      'no-restricted-globals': 'off',
      // Prettier breaks what can be broken; what is left in scripts are sentences, queries and paths of drawings.
      'max-len': ['error', { code: 140, ignoreUrls: true, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true }],
    },
  },
  {
    files: ['**/*.vue'],
    rules: {
      'max-len': 'off',
      'vue/max-len': [
        'error',
        {
          code: 140,
          template: 140,
          ignoreUrls: true,
          ignoreStrings: true,
          ignoreTemplateLiterals: true,
          ignoreRegExpLiterals: true,
          ignoreHTMLAttributeValues: false,
        },
      ],
    },
  },
  {
    files: ['{app,core,player,scripts,server,stage}/**/*.{ts,vue,mjs}'],
    ignores: ['**/*.test.ts'],
    rules: {
      // What is caught is named: an error that nobody expected must not be taken for one that somebody did.
      'no-restricted-syntax': [
        'error',
        { selector: 'CatchClause:not([param])', message: 'Name what is caught, and let all else through.' },
        {
          selector: 'CallExpression[callee.property.name="catch"] > ArrowFunctionExpression[params.length=0]',
          message: 'Name what is caught: expected(…), or a function that looks at the error.',
        },
        {
          selector: `CallExpression[callee.property.name=/^(begin|reserve)$/]${databaseAsked}`,
          message: 'Use transaction(…): it knows what to do when the connection is cut.',
        },
        { selector: 'TSAsExpression > TSNeverKeyword', message: 'That silences the compiler. Give it the type that it has.' },
      ],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'fetch',
        'process',
        'Buffer',
        'localStorage',
        'navigator',
        'setTimeout',
        'setInterval',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Core is seeded by record id.' },
        { object: 'Date', property: 'now', message: 'Core has no clock.' },
      ],
    },
  },
  {
    // What one presses, writes in, chooses from, ticks or slides is Nuxt UI's, or made of its parts, in one look.
    files: ['app/**/*.vue'],
    // Fields are what is made of its parts; the score, the rundown, the stage and the outline's lines are our own; sign-in is loaded bare.
    ignores: [
      'app/components/fields/{FilePicker,NumberField}.vue',
      'app/components/editor/{Score*,SoundLanes,RundownStrip}.vue',
      'app/components/compose/{BoardViews,TableEditing}.vue',
      'app/components/outline/OutlineText.vue',
      'app/pages/sign-in.vue',
    ],
    rules: {
      'vue/no-restricted-html-elements': [
        'error',
        { element: 'select', message: 'Take ChoiceField.' },
        { element: 'button', message: 'Take UButton; `variant="bare"` where its place draws it.' },
        { element: 'input', message: 'Take WordsField, NumberField, DateField, FilePicker, UInput or what else it is.' },
        { element: 'textarea', message: 'Take WordsField with rows, or UTextarea.' },
      ],
    },
  },
  {
    // What is longer is steps without names.
    files: ['{app,attack,core,demo,player,scripts,server,stage}/**/*.{ts,vue,mjs}'],
    ignores: ['**/*.test.ts'],
    rules: { 'house/length': 'error', complexity: ['error', 25] },
  },
)
