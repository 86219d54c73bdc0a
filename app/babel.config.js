/** Jest runs without modules of its own: there `import()` is a `require` that comes later. */
const importAsRequire = ({ types, template }) => {
  const later = template.expression('Promise.resolve().then(() => require(SOURCE))');
  return {
    visitor: {
      CallExpression(path) {
        if (types.isImport(path.node.callee)) path.replaceWith(later({ SOURCE: path.node.arguments[0] }));
      },
    },
  };
};

module.exports = (api) => {
  api.cache.using(() => process.env.NODE_ENV);
  return {
    presets: [['babel-preset-expo', { jsxImportSource: 'nativewind' }], 'nativewind/babel'],
    plugins: process.env.NODE_ENV === 'test' ? [importAsRequire] : [],
  };
};
