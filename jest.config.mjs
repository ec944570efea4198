import { GLOBALS } from './jest-near-globals.mjs';
import angular from 'jest-preset-angular/presets/index.js';

const swc = {
  transform: {
    '^.+\\.ts$': [
      '<rootDir>/jest-near-globals.mjs',
      {
        jsc: { target: 'es2022', parser: { syntax: 'typescript', decorators: true } },
        module: { type: 'es6' },
      },
    ],
    'node_modules/.+\\.m?js$': ['<rootDir>/jest-near-globals.mjs', 'as it is'],
  },
  /** These are modules with loops that look up much. */
  transformIgnorePatterns: [
    '/node_modules/(?!(@electric-sql/pglite|drizzle-orm|fontkit|pdfkit|restructure|zod)/)',
    '/node_modules/.+\\.cjs$',
  ],
  extensionsToTreatAsEsm: ['.ts'],
  testEnvironment: 'node',
  sandboxInjectedGlobals: GLOBALS.filter((name) => name !== 'NaN'),
};
const project = (displayName, more = {}) => ({
  ...swc,
  displayName,
  rootDir: '.',
  setupFiles: ['<rootDir>/jest-seed.mjs'],
  testMatch: [`<rootDir>/${displayName}/src/**/*.spec.ts`],
  ...more,
});

/** Components that are drawn: compiled as the page compiles them, in a document without a browser. */
const drawn = {
  ...angular.createEsmPreset({ tsconfig: '<rootDir>/web/tsconfig.drawn.json' }),
  displayName: 'drawn',
  rootDir: '.',
  setupFiles: ['<rootDir>/jest-seed.mjs'],
  setupFilesAfterEnv: ['<rootDir>/web/jest-drawn.mjs'],
  testMatch: ['<rootDir>/web/src/**/*.drawn.spec.ts'],
};

export default {
  projects: [
    project('core'),
    project('contracts'),
    project('demo'),
    project('server'),
    project('web', {
      testPathIgnorePatterns: ['\\.drawn\\.spec\\.ts$'],
      setupFiles: ['<rootDir>/jest-seed.mjs', '<rootDir>/web/jest-setup.mjs'],
    }),
    drawn,
  ],
  /** Hooks that start a database too: a busy machine is given time. */
  testTimeout: 180_000,
};
