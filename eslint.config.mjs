import nextVitals from 'eslint-config-next/core-web-vitals'
import nextTypescript from 'eslint-config-next/typescript'
import prettier from 'eslint-config-prettier'

/** Tables of data and texts: long, and read row by row. */
const TABLES = [
  'src/messages/**',
  'src/server/platform/db/tables.ts',
  'src/core/diagnosis/{cases,causes}.ts',
  'src/core/ecosystem/trials/behaviours.ts',
  'src/core/visits/types/regular.ts',
]

/** What knows no component: rules about them would only read it all again, the slowest of them a compiler. */
const NO_COMPONENTS = ['src/{calc,core,domain,server,messages}/**/*.ts', '{demo,scripts,stand-ins,tests}/**/*.{ts,mjs}']
const aboutComponents = [...nextVitals, ...nextTypescript].flatMap(({ rules = {} }) =>
  Object.keys(rules).filter((rule) => /^(react|react-hooks|jsx-a11y|@next\/next)\//.test(rule)),
)

const config = [
  ...nextVitals,
  ...nextTypescript,
  prettier,
  {
    ignores: [
      '.next/**',
      '.next-test/**',
      '.next-dev/**',
      '.slow-reed/**',
      '.slow-reed-test/**',
      'next-env.d.ts',
      'test-results/**',
    ],
  },
  { files: NO_COMPONENTS, rules: Object.fromEntries(aboutComponents.map((rule) => [rule, 'off'])) },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      // doors load the page anew on purpose: nothing of the session before may stay in memory
      '@next/next/no-location-assign-relative-destination': 'off',
      'import/no-anonymous-default-export': 'off',
    },
  },
  {
    rules: {
      'no-nested-ternary': 'error',
      'max-len': [
        'error',
        { code: 120, ignoreUrls: true, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true },
      ],
    },
  },
  {
    // a view is its markup, a hook its state with what may be done to it; all else says one thing at a time
    files: ['src/**/*.tsx', 'src/ui/**/use-*.ts'],
    ignores: ['**/*.test.*'],
    rules: { 'max-lines-per-function': ['error', { max: 150, skipComments: true, skipBlankLines: true }] },
  },
  {
    // words by code and migrations are long lists, and stay one list
    files: ['src/**/*.ts'],
    ignores: ['**/*.test.*', 'src/ui/**/use-*.ts', 'src/messages/**', 'src/server/platform/db/migrations/**'],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipComments: true, skipBlankLines: true }] },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', ...TABLES],
    rules: { 'max-lines': ['error', { max: 300, skipComments: true, skipBlankLines: true }] },
  },
  {
    // papers and pages outside the views say no text of their own either
    files: ['src/app/**/*.tsx', 'src/server/**/*.tsx'],
    rules: {
      'react/jsx-no-literals': ['error', { allowedStrings: [':', ';', ',', '.', '·', '–', '•', '×', '□', '(', ')'] }],
    },
  },
  {
    // what people read stands in the catalogue (src/messages/en), so that a copy editor and another language find it
    files: ['src/ui/**/*.{ts,tsx}', 'src/messages/*.ts', 'src/messages/!(en)/**/*.ts'],
    ignores: ['**/*.test.*'],
    rules: {
      'react/jsx-no-literals': [
        'error',
        {
          allowedStrings: [
            ':',
            ';',
            ',',
            '.',
            '·',
            '–',
            '−',
            '±',
            '±0',
            '×',
            '; ×',
            '→',
            '‹',
            '›',
            '…',
            '✕',
            '○',
            '=',
            '(',
            ')',
          ],
        },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: 'Literal[value=/^[A-Z][a-z’]+ [a-z].*/]', message: 'Texts stand in the catalogue: t(…).' },
        { selector: 'JSXAttribute Literal[value=/^[A-Z][a-z]{2,}/]', message: 'Texts stand in the catalogue: t(…).' },
        {
          selector: 'TemplateElement[value.raw=/[A-Z][a-z]+ [a-z]{2,} [a-z]{2,}/]',
          message: 'Texts stand in the catalogue: t(…).',
        },
      ],
    },
  },
  {
    // domain and server name texts by their address; what is thrown at programmers and logs is no text of the product
    files: ['src/domain/**/*.ts', 'src/server/**/*.{ts,tsx}', 'src/app/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', 'src/server/platform/db/**', 'src/domain/visits/visit-type-upgrade.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            ":not(NewExpression[callee.name=/Error$|TookTooLong|PoolFull/], CallExpression[callee.object.name='logger']) > Literal[value=/^[A-Z“][\\w’]+ [a-z].* [a-z]/]",
          message: 'Texts stand in the catalogue: said(…) or t(…).',
        },
        {
          selector:
            ':not(NewExpression) > TemplateLiteral > TemplateElement[value.raw=/[A-Z“][a-z]+ [a-z]{2,} [a-z]{2,} [a-z]/]',
          message: 'Texts stand in the catalogue: said(…) or t(…).',
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'The core is given the time.',
        },
        {
          selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
          message: 'The core is given a seeded generator.',
        },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The core is given the time.' },
      ],
    },
  },
]

export default config
