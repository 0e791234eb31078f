import next from 'eslint-config-next/core-web-vitals';
import nextTs from 'eslint-config-next/typescript';
import jsdoc from 'eslint-plugin-jsdoc';
import regexp from 'eslint-plugin-regexp';
import tseslint from 'typescript-eslint';

const testCode = ['**/*.test.ts', '**/*.test.tsx', '**/__tests__/**', 'e2e/**', 'checks/**'];

const config = [
  { ignores: ['.next/**', '.data/**', '.cache/**', 'node_modules/**', 'next-env.d.ts', 'test-results/**'] },
  ...next,
  ...nextTs,
  {
    // React's compiler reads each file it checks as a whole, a fifth of the time of all rules: only where there is React.
    ignores: ['src/ui/**', 'src/app/**', 'src/server/documents/**'],
    rules: Object.fromEntries(
      next
        .flatMap((part) => Object.keys(part.rules ?? {}))
        .filter((rule) => rule.startsWith('react'))
        .map((rule) => [rule, 'off']),
    ),
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { '@typescript-eslint': tseslint.plugin },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/no-unsafe-argument': 'error',
      '@typescript-eslint/no-unsafe-assignment': 'error',
      '@typescript-eslint/no-unsafe-call': 'error',
      '@typescript-eslint/no-unsafe-member-access': 'error',
      '@typescript-eslint/no-unsafe-return': 'error',
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx', 'launcher/**/*.ts', 'stand-ins/**/*.ts'],
    ignores: testCode,
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-unnecessary-condition': 'error',
      '@typescript-eslint/no-unnecessary-type-assertion': 'error',
    },
  },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx', 'launcher/**/*.ts', 'stand-ins/**/*.ts'],
    ignores: testCode,
    rules: { 'max-lines-per-function': ['error', { max: 150 }] },
  },
  {
    // Text from outside must not hold a thread for minutes: no expression may try the same text in exponentially many ways.
    files: ['src/**/*.ts', 'src/**/*.tsx', 'launcher/**/*.ts', 'stand-ins/**/*.ts'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential', ignoreSticky: true }],
    },
  },
  {
    // What a room of the core gives away says what it is: what, units, shapes, errors, source.
    files: ['src/core/**/*.ts', 'src/api/*.ts'],
    // A verb says what it is in its summary.
    ignores: [...testCode, 'src/core/verbs/!(index|verb).ts'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        {
          publicOnly: true,
          require: {
            FunctionDeclaration: true,
            ArrowFunctionExpression: true,
            ClassDeclaration: true,
          },
          contexts: [
            'TSInterfaceDeclaration',
            'TSTypeAliasDeclaration',
            'ExportNamedDeclaration > VariableDeclaration',
          ],
          enableFixer: false,
        },
      ],
      'jsdoc/no-types': 'error',
      'jsdoc/require-throws-description': 'error',
      'jsdoc/require-param-description': 'error',
      'jsdoc/require-returns-description': 'error',
    },
  },
  {
    // Texts are drawn in the reader's terms and units: past the kit's own components they would not be.
    files: ['src/ui/**/*.tsx', 'src/app/**/*.tsx', 'src/server/documents/**/*.tsx'],
    ignores: ['src/ui/kit/text.tsx', 'src/server/documents/pdf/kit.tsx', ...testCode],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@chakra-ui/react',
              importNames: ['Text', 'Heading'],
              message: 'Take it from ui/kit/text.',
            },
            { name: '@react-pdf/renderer', importNames: ['Text'], message: 'Take it from documents/pdf.' },
          ],
        },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'JSXOpeningElement[name.name=/^(td|li)$/]:not([selfClosing=true])',
          message: 'Take Cell or Item from ui/kit/text: they speak the reader’s terms.',
        },
      ],
    },
  },
  // The launcher and the command line talk to a terminal; that is their interface.
  { files: ['launcher/**', 'src/cli/**'], rules: { 'no-console': 'off' } },
];
export default config;
