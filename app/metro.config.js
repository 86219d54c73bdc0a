const http = require('node:http');
const { availableParallelism } = require('node:os');
const { dirname } = require('node:path');
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

// gesture-handler brings its old implementation for the web, and buttons, drawers and lists that nothing here uses.
const UNUSED_IN_GESTURES =
  /^(@egjs\/hammerjs|.*\/web_hammer\/.*|.*\/(Pressable|DrawerLayout|Swipeable|touchables|GestureButtons|ReanimatedSwipeable|ReanimatedDrawerLayout)(\/.*)?)$/;
const isUnusedInGestures = (context, name) =>
  context.originModulePath.includes('/react-native-gesture-handler/') && UNUSED_IN_GESTURES.test(name);

// Drawings that come as text, parts that nothing here shows, and tabs, which the steps are not.
const UNUSED_IN = [
  [/\/react-native-svg\//, /^(\.\/|\.\.\/)*xml(Tags)?$/],
  [/\/react-native-web\/dist\/index\.js$/, /\/(CheckBox|Switch|SectionList|VirtualizedSectionList)$/],
  [/\/react-native-web\/dist\/vendor\/react-native\/Animated\//, /\/AnimatedSectionList$/],
  // `app.json` has the router make no page of all addresses.
  [/\/expo-router\/build\//, /\/bottom-tabs$|\/layouts\/Tabs(Client)?$|\/views\/Sitemap$/],
  // Hands drag, pinch and hover here; a tap and a long press are known by the session of a pointer.
  [
    /\/react-native-gesture-handler\/.*\/web\/Gestures\.js$/,
    /\/(Tap|LongPress|Rotation|Fling|Manual)GestureHandler$/,
  ],
  [/\/react-native-gesture-handler\/.*\/index\.js$/, /\/components\/(GestureComponents|Text)$/],
  // Screens have no header of the router's own, and so none of its buttons, which bring a package for colours.
  [/\/expo-router\/build\/react-navigation\/elements\//, /\/(Header\/Header|HeaderSearchBar|Badge|Button)$/],
];
const isUnusedPart = (context, name) =>
  UNUSED_IN.some(([from, part]) => from.test(context.originModulePath) && part.test(name));

// What is asked of the server is cached by a package whose folders name a build for old browsers, half as large again.
// Of tslib, which the package for PDFs brings, the file for modules asks for a default that its other file has not.
const TOOLKIT = dirname(require.resolve('@reduxjs/toolkit/package.json'));
const BUILT_FOR_BROWSERS = new Map([
  ['tslib', require.resolve('tslib/tslib.es6.js')],
  ['@reduxjs/toolkit/query', `${TOOLKIT}/dist/query/rtk-query.browser.mjs`],
  ['@reduxjs/toolkit/query/react', `${TOOLKIT}/dist/query/react/rtk-query-react.browser.mjs`],
]);

// Each module is a function of its own and browsers are today's: what is written can be shorter than the default.
config.transformer.minifierPath = require.resolve('./minify.js');
config.transformer.minifierConfig = {
  compress: { ecma: 2020, passes: 3 },
  mangle: { toplevel: true },
  format: { comments: false, ecma: 2020 },
};

// The default leaves a core to the bundler, which on two cores makes it transform one file after the other.
config.maxWorkers = Math.max(2, availableParallelism());

const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  const built = platform === 'web' && BUILT_FOR_BROWSERS.get(name);
  if (built) return { type: 'sourceFile', filePath: built };
  if (
    UNUSED.has(name) ||
    isUnusedInZod(context, name) ||
    isUnusedInGestures(context, name) ||
    isUnusedPart(context, name)
  )
    return { type: 'empty' };
  return (resolve ?? context.resolveRequest)(context, name, platform);
};

// `npm run dev` tells where the server is: what the page asks of it is handed on. The server takes changes from
// its own pages only, so what says that this page is another one is left out.
const api = process.env.HUMBLE_DEV_API;
const handOn = (request, response) => {
  const { origin, host, 'sec-fetch-site': site, ...headers } = request.headers;
  const { method, url } = request;
  const asked = http.request(api + url, { method, headers }, (answer) => {
    response.writeHead(answer.statusCode, answer.headers);
    answer.pipe(response);
  });
  asked.on('error', () => response.writeHead(502).end());
  request.pipe(asked);
};
if (api)
  config.server.enhanceMiddleware = (middleware) => (request, response, next) =>
    request.url.startsWith('/api/') ? handOn(request, response) : middleware(request, response, next);

module.exports = withNativeWind(config, { input: './src/global.css' });
