module.exports = require('../jest.node.cjs');
