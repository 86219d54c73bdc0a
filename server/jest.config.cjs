/** Some tests start a server of their own: it is built before them. */
module.exports = { ...require('../jest.node.cjs'), globalSetup: '<rootDir>/../scripts/buildServer.mjs' };
