const preset = require('jest-expo/jest-preset');

const esm =
  'react-redux|@reduxjs|redux|redux-undo|immer|reselect|lucide-react-native|idb-keyval|nanoid|@expo-google-fonts';
const [ignore, ...more] = preset.transformIgnorePatterns;

module.exports = {
  // A busy machine takes its time: no test judges speed by this.
  testTimeout: 30_000,
  // All cores; Jest itself would leave one idle, which is half of a machine with two.
  maxWorkers: '100%',
  preset: 'jest-expo',
  roots: ['<rootDir>/src'],
  transform: {
    '\\.mjs$': preset.transform['\\.[jt]sx?$'],
    '\\.css$': require.resolve('jest-expo/src/preset/assetFileTransformer.js'),
  },
  transformIgnorePatterns: [ignore.replace('(?!(', `(?!(${esm}|`), ...more],
  setupFiles: ['react-native-gesture-handler/jestSetup', '<rootDir>/jest.setup.js'],
};
