/** Some commands are the server's own program: it is built before them. */
module.exports = { ...require('../jest.node.cjs'), globalSetup: '<rootDir>/../scripts/buildServer.mjs' };
