/** Unit tests of the workspaces that run on Node: core, cli, server. */
module.exports = {
  preset: 'ts-jest',
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  // Types are checked by `npm run types`; here the tests only run.
  transform: {
    '^.+\\.ts$': [
      'ts-jest',
      {
        diagnostics: false,
        tsconfig: {
          module: 'commonjs',
          moduleResolution: 'node10',
          ignoreDeprecations: '6.0',
          isolatedModules: true,
          esModuleInterop: true,
          target: 'ES2022',
        },
      },
    ],
  },
};
