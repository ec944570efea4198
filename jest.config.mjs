const swc = {
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      {
        jsc: { target: 'es2022', parser: { syntax: 'typescript', decorators: true } },
        module: { type: 'es6' },
      },
    ],
  },
  extensionsToTreatAsEsm: ['.ts'],
  testEnvironment: 'node',
};
const project = (displayName, more = {}) => ({
  ...swc,
  displayName,
  rootDir: '.',
  setupFiles: ['<rootDir>/jest-seed.mjs'],
  testMatch: [`<rootDir>/${displayName}/src/**/*.spec.ts`],
  ...more,
});

export default {
  projects: [
    project('core'),
    project('contracts'),
    project('demo'),
    project('server'),
    project('web', { setupFiles: ['<rootDir>/jest-seed.mjs', '<rootDir>/web/jest-setup.mjs'] }),
  ],
  /** Hooks that start a database too: a busy machine is given time. */
  testTimeout: 180_000,
};
