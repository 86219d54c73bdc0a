const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

// gesture-handler brings reanimated in when it is installed, and nativewind wants it installed. Nothing
// here animates with it, and it would weigh a quarter of all the JavaScript that is sent.
const UNUSED = new Set(['react-native-reanimated', 'react-native-worklets']);
// zod brings messages in fifty languages and a translation to and from JSON Schema. The interface speaks
// one language, and says most of it itself; nothing here asks for a JSON Schema.
const UNUSED_IN_ZOD = /\/(locales\/index|json-schema-processors|from-json-schema)\.js$/;
const isUnusedInZod = (context, name) =>
  context.originModulePath.includes('/zod/') && UNUSED_IN_ZOD.test(name);

const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  if (UNUSED.has(name) || isUnusedInZod(context, name)) return { type: 'empty' };
  return (resolve ?? context.resolveRequest)(context, name, platform);
};

module.exports = withNativeWind(config, { input: './src/global.css' });
