import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/**
 * One direction: a room imports only from rooms before it in this list; rooms of one line are strangers. The rest of
 * the office (App, areas.ts) knows all of them.
 */
const layers = [
  ['shared'],
  ['form'],
  ['client', 'staff/testing', 'staff/shell'],
  ['staff/people', 'staff/access'],
  ['staff/plan', 'staff/definition'],
  [
    'staff/arrivals',
    'staff/today',
    'staff/quotes',
    'staff/diary',
    'staff/clients',
    'staff/projects',
    'staff/files',
    'staff/messages',
    'staff/forms',
    'staff/rules',
    'staff/setup',
    'staff/inquiry',
    'staff/account',
  ],
];

const directions = layers.flatMap((rooms, layer) =>
  rooms.map((room) => ({
    files: [`src/${room}/**/*.{ts,tsx}`],
    // Tests may stand in for a whole screen.
    ignores: ['**/*.test.{ts,tsx}', '**/*.test-helper.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: `^(?:\\.\\./)+(?:${layers
                .slice(layer)
                .flat()
                .filter((other) => other !== room)
                .flatMap((other) => [other, other.replace('staff/', '')])
                .join('|')})/`,
              message: 'This room lies above, or is a neighbour: what both need belongs below.',
            },
          ],
        },
      ],
    },
  })),
);

export default tseslint.config(
  { ignores: ['src/shared/contract.d.ts'] },
  js.configs.recommended,
  ...tseslint.configs.strictTypeChecked,
  hooks.configs.flat['recommended-latest'],
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
    },
  },
  ...directions,
  { files: ['eslint.config.js'], ...tseslint.configs.disableTypeChecked },
);
