/** Unit tests of the workspaces that run on Node: core, cli, server. Types are checked by `npm run types`. */
module.exports = {
  // All cores; Jest itself would leave one idle, which is half of a machine with two.
  maxWorkers: '100%',
  // A busy machine takes its time: no test judges speed by this.
  testTimeout: 30_000,
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  // Packages that come as modules only are read as the sources are.
  transformIgnorePatterns: [
    '/node_modules/(?!(file-type|music-metadata|nanoid|strtok3|token-types|uint8array-extras|@tokenizer|@borewit)/)',
  ],
  transform: {
    '^.+\\.(ts|js)$': [
      '@swc/jest',
      {
        jsc: { parser: { syntax: 'typescript' }, target: 'es2022' },
        module: { type: 'commonjs' },
      },
    ],
  },
};
