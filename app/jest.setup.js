jest.mock('react-native-worklets', () => require('react-native-worklets/src/mock'));
