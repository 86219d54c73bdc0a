jest.mock('react-native-worklets', () => require('react-native-worklets/src/mock'));

// The preset's frames ask jest for the time, which fails once a test file is over; the store still tells its
// last news by frame then.
global.requestAnimationFrame = (callback) => setTimeout(() => callback(performance.now()), 16);
