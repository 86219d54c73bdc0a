const preset = require('jest-expo/jest-preset');

const esm =
  'react-redux|@reduxjs|redux|redux-undo|immer|reselect|lucide-react-native|idb-keyval|nanoid|@expo-google-fonts';
const [ignore, ...more] = preset.transformIgnorePatterns;

module.exports = {
  preset: 'jest-expo',
  roots: ['<rootDir>/src'],
  transform: {
    '\\.mjs$': preset.transform['\\.[jt]sx?$'],
    '\\.css$': require.resolve('jest-expo/src/preset/assetFileTransformer.js'),
  },
  transformIgnorePatterns: [ignore.replace('(?!(', `(?!(${esm}|`), ...more],
  setupFiles: ['react-native-gesture-handler/jestSetup', '<rootDir>/jest.setup.js'],
};
