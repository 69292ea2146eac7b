import nextVitals from 'eslint-config-next/core-web-vitals'
import nextTypescript from 'eslint-config-next/typescript'
import prettier from 'eslint-config-prettier'

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
    // papers and pages outside the views say no text of their own either
    files: ['src/app/**/*.tsx', 'src/server/**/*.tsx'],
    rules: {
      'react/jsx-no-literals': ['error', { allowedStrings: [':', ';', ',', '.', '·', '–', '•', '×', '□', '(', ')'] }],
    },
  },
  {
    // what people read stands in the catalogue (src/messages/en), so that a copy editor and another language find it
    files: ['src/ui/**/*.{ts,tsx}', 'src/messages/*.ts'],
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
