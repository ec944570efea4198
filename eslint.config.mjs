import eslint from '@eslint/js';
import ngrx from '@ngrx/eslint-plugin/v9';
import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

const CLOCKS = [
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'core takes time as an argument',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'core takes time as an argument',
  },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'core takes a seeded generator as an argument',
  },
];

/** In a search a 0 for an index past the end would go unseen. */
const CHECKED_INDEX = [
  {
    selector:
      "LogicalExpression[operator='??'][left.type='MemberExpression'][left.computed=true][right.value=0]",
    message: 'take valueAt, floatAt, intAt, countAt or bitsAt of core/quantity: a wrong index is an error',
  },
];
const SEARCHES = ['packing', 'scheduling', 'cutting', 'blanks'].map((room) => `core/src/${room}/**/*.ts`);

/** What a row means is asked of core's `reading` and its rooms: no rule of the trade outside core. */
const ASKED_OF_CORE = [
  {
    selector: 'Literal[value=/^(?:tl|tr|bl|br|mt|mr|mb|ml|tp)$/]',
    message: 'points of a measure are named in core/measure',
  },
  {
    selector:
      'BinaryExpression[left.property.name=/^(?:kind|shape)$/] > Literal.right[value=/^(?:pane|wall|column|fixture)$/]',
    message: 'ask isGlass, isWall or a question of core/reading',
  },
  {
    selector: 'BinaryExpression[operator=/^[!=]==$/][left.property.name="method"] > Literal.right',
    message: 'what a way of fitting means is asked of core/reading',
  },
  {
    selector: 'BinaryExpression[operator=/^[!=]==$/][left.name="method"] > Literal.right',
    message: 'what a way of fitting means is asked of core/reading',
  },
  {
    selector: 'CallExpression[callee.property.name=/^(?:valueOf|rate)$/] > Literal',
    message: 'rates are looked up in core/reading',
  },
  {
    selector: 'CallExpression[callee.name="rateOf"] > Literal',
    message: 'rates are looked up in core/reading',
  },
];
const ASKED_OF_CORE_IN_TEMPLATES = [
  {
    selector: 'Binary[operation=/^[!=]==$/] > LiteralPrimitive[value=/^(?:pane|wall|column|fixture)$/]',
    message: 'ask isGlass, isWall or a question of core/reading',
  },
];

/** What the page says stands in `web/src/app/words`: no sentence in a template, none in code. */
const IN_WORDS = 'what the page says stands in web/src/app/words';
const SAID_IN_WORDS = [
  { selector: 'Literal[value=/^[A-Z…][^;{}]*[a-z,.:…] [a-z]/]', message: IN_WORDS },
  {
    selector:
      'TemplateLiteral:not(Decorator TemplateLiteral, NewExpression TemplateLiteral) > TemplateElement[value.raw=/(?:^|[ .,:])[A-Za-z]?[a-z]{2,} [a-z]{2,}(?: |[.,:]|$)/]',
    message: IN_WORDS,
  },
];
const SAID_IN_WORDS_IN_TEMPLATES = [
  'Text[value=/[a-z]{3}|\\b(?!mm\\b)[a-z]{2}\\b/]',
  ...[0, 1, 2, 3, 4, 5].map((index) => `Interpolation[strings.${index}=/[a-z]{3}/]`),
  'Interpolation Conditional > LiteralPrimitive[value=/[a-z]{2,}[,:.]? [a-z]|^[ ,.;·]+[a-z]{2}/]',
  "Interpolation Binary[operation='+'] > LiteralPrimitive[value=/[a-z]{3}/]",
  'TextAttribute[name=/^(?:aria-label|title|placeholder|alt|label|word)$/][value=/[a-z]{2}/]',
].map((selector) => ({ selector, message: IN_WORDS }));

/** Read by people and run by Jest and Playwright: linted without their types. */
const SPECS = ['**/*.spec.ts', '**/fixtures/**', '**/testing/**', 'e2e/**/*.ts', 'bench/**/*.ts'];

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '**/.angular/**',
      'data/**',
      'test-results/**',
      'server/migrations/**',
      '**/*.mjs',
      '**/drizzle.config.ts',
    ],
  },
  {
    files: ['**/*.ts'],
    extends: [eslint.configs.recommended, ...tseslint.configs.strictTypeChecked, prettier],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      'max-lines': ['error', { max: 350, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      'max-len': [
        'error',
        { code: 110, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true },
      ],
      'max-statements-per-line': 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: { 'no-restricted-syntax': ['error', ...CLOCKS] },
  },
  {
    files: SEARCHES,
    ignores: ['**/*.spec.ts'],
    rules: {
      'max-lines-per-function': ['error', { max: 40, skipBlankLines: true, skipComments: true }],
      'no-restricted-syntax': ['error', ...CLOCKS, ...CHECKED_INDEX],
    },
  },
  {
    files: SPECS,
    extends: [tseslint.configs.disableTypeChecked],
    rules: { 'max-lines': 'off', 'max-lines-per-function': 'off' },
  },
  // Playwright reads the destructured names of a fixture, so that an empty pattern is the way to ask for
  // none.
  { files: ['e2e/house.ts'], rules: { 'no-empty-pattern': 'off' } },
  {
    files: ['web/src/**/*.ts', 'server/src/**/*.ts'],
    ignores: ['**/*.spec.ts', '**/testing/**'],
    rules: { 'no-restricted-syntax': ['error', ...ASKED_OF_CORE] },
  },
  {
    files: ['web/src/**/*.ts'],
    ignores: ['**/*.spec.ts', '**/testing/**', 'web/src/app/words/**'],
    rules: { 'no-restricted-syntax': ['error', ...ASKED_OF_CORE, ...SAID_IN_WORDS] },
  },
  {
    files: ['web/src/**/*.ts'],
    extends: [
      ...angular.configs.tsRecommended,
      ...ngrx.configs.store,
      ...ngrx.configs.effects,
      ...ngrx.configs.signals,
    ],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/component-class-suffix': 'off',
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true }],
      '@typescript-eslint/unbound-method': 'off',
    },
  },
  {
    files: ['web/src/app/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
    rules: {
      'no-restricted-syntax': ['error', ...ASKED_OF_CORE_IN_TEMPLATES, ...SAID_IN_WORDS_IN_TEMPLATES],
      '@angular-eslint/template/click-events-have-key-events': 'off',
      '@angular-eslint/template/interactive-supports-focus': 'off',
    },
  },
);
