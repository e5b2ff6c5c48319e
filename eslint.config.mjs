// The house’s own rules. What every TypeScript project asks, types read along, stands in .oxlintrc.json.
import next from 'eslint-config-next'
import jsdoc from 'eslint-plugin-jsdoc'
import tseslint from 'typescript-eslint'

/** What core may never touch: the clock, randomness, the environment, storage, the network. */
const SIDE_EFFECTS = [
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'core gets the time as an argument',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'core gets the time as an argument',
  },
  {
    selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
    message: 'core gets randomness as a seed',
  },
  { selector: "MemberExpression[object.name='process']", message: 'core reads no environment' },
]

/** Rules on size, with what a file named in ABOVE is still allowed. */
function ceilings({ complexity = 18, params = 5, body = 110, lines = 400 }) {
  return {
    complexity: ['error', complexity],
    'max-params': ['error', params],
    'max-lines-per-function': ['error', { max: body, skipComments: true, skipBlankLines: true }],
    'max-lines': ['error', lines],
  }
}

/** Files above a ceiling, with what they measure today. */
const ABOVE = [
  ['core/mechanics/load-tags.ts', { complexity: 27 }],
  ['core/mechanics/positions/down-dog.ts', { params: 6 }],
  ['core/mechanics/positions/floor.ts', { params: 6 }],
  ['core/mechanics/supports.ts', { params: 6 }],
  ['core/planning/check/places.ts', { complexity: 20 }],
  ['core/readiness/decide.ts', { params: 7 }],
  ['core/readiness/gate.ts', { params: 6 }],
  ['core/screening/answers.ts', { complexity: 22 }],
  ['core/setups/shared.ts', { params: 6 }],
  ['core/simulate/demo.ts', { complexity: 30 }],
  // A sentence for every reason there is.
  ['core/words/reason.ts', { complexity: 21 }],
  ['features/facts/keep-evidence.ts', { complexity: 23 }],
  ['features/incidents/components/incident-form.tsx', { body: 141 }],
  ['features/readiness/components/try-form.tsx', { body: 161 }],
  ['features/setups/components/setup-bench.tsx', { complexity: 27, body: 136 }],
  ['features/setups/components/weigh-panel.tsx', { complexity: 25 }],
  ['features/students/actions.ts', { complexity: 19 }],
  ['features/studio/components/cupboard-table.tsx', { complexity: 20, body: 120 }],
  ['features/studio/components/room-editor.tsx', { body: 112 }],
  ['features/teaching/components/person-strip.tsx', { body: 135 }],
  ['features/teaching/components/teach-screen.tsx', { complexity: 30, body: 117 }],
  ['ui/shell/shell.tsx', { body: 153 }],
]

/** Where there is React: its rules compile every file that they read, which the core need not wait for. */
const WITH_REACT = ['src/**/*.tsx', 'src/**/use-*.ts']

export default tseslint.config(
  {
    ignores: ['.next/**', 'node_modules/**', 'reports/**', 'coverage/**', 'next-env.d.ts', 'test-results/**'],
  },
  ...next.map((c) => (c.rules ? { ...c, files: WITH_REACT } : c)),
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parser: tseslint.parser },
    plugins: { '@typescript-eslint': tseslint.plugin },
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportDefaultDeclaration', message: 'named exports only' },
      ],
    },
  },
  {
    // Next and the tools ask for default exports here.
    files: ['src/app/**', '*.config.ts', '*.config.mjs'],
    rules: { 'no-restricted-syntax': 'off' },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    plugins: { jsdoc },
    rules: {
      'no-restricted-globals': [
        'error',
        'fetch',
        'window',
        'document',
        'localStorage',
        'indexedDB',
        'performance',
        'setTimeout',
        'setInterval',
        'crypto',
      ],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['@/features/*', '@/db/*', '@/ui/*', '@/app/*', '@/workers/*', '@/device/*'],
              message: 'core imports nothing above it',
            },
            {
              group: [
                'react',
                'react-dom',
                'next',
                'next/*',
                '@mantine/*',
                'better-sqlite3',
                'drizzle-orm*',
                'node:*',
                'fs',
                'crypto',
                'uuid',
              ],
              message: 'core has no interface, storage or I/O',
            },
          ],
        },
      ],
      'no-restricted-syntax': [
        'error',
        ...SIDE_EFFECTS,
        { selector: 'ExportDefaultDeclaration', message: 'named exports only' },
      ],
      'jsdoc/require-jsdoc': ['error', { publicOnly: true, require: { FunctionDeclaration: true } }],
      'jsdoc/check-param-names': ['error', { disableMissingParamChecks: true }],
    },
  },
  {
    // The validator checks the planners, so it knows nothing but the documents of a class and the practice.
    files: ['src/core/planning/check/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex:
                '^(?!\\./|\\.\\./\\.\\./classes/(brief|plan|fixed|lock|override|craft)$|\\.\\./\\.\\./fatigue/(class-work|compartments)$|\\.\\./\\.\\./practice/(library|schema|find)$)',
              message:
                'the validator reads the documents of a class and the practice, and nothing of the planners',
            },
          ],
        },
      ],
    },
  },
  {
    // The practice is handed down in the context: a studio’s own additions are laid over it in one place.
    files: ['src/features/**/*.ts', 'src/features/**/*.tsx', 'src/db/**/*.ts', 'src/app/**', 'src/ui/**'],
    ignores: ['src/features/practice.ts', 'src/ui/link.tsx', '**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@/core/practice/library',
              importNames: ['shippedPractice', 'SHIPPED', 'buildLibrary'],
              message: 'take the practice from the context',
            },
            {
              name: 'next/link',
              message: 'take Link from ui/link: it asks the server for nothing before it is pressed',
            },
          ],
        },
      ],
    },
  },
  {
    // Ceilings. What stands above one is named below with what it measures now: those numbers only fall.
    files: ['src/**/*.{ts,tsx}', 'cli/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: ceilings({}),
  },
  ...ABOVE.map(([file, part]) => ({ files: [`src/${file}`], rules: ceilings(part) })),
)
