/** The layers of docs/decisions.md. An import that breaks one fails the build. */
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^(core|cli|server|app|e2e|bench)/', pathNot: allowed },
});

/** The folders of the core, lowest first: each may import from itself and from those before it. */
const CORE = [
  'model',
  'arc',
  'scan',
  'timing',
  'exposure',
  'inbetween',
  'motion',
  'spacing',
  ['gesture', 'pose', 'physics', 'shoot'],
  'edits',
  'checks',
  'formats',
  'print',
  'http',
];
const alternatives = (rooms) => `(${rooms.flat().join('|')})`;
/** Schemas of the kinds of things are part of the model, and stand in the file of their kind. */
const TABLES_OF_KINDS = '^core/src/(arc/shapes|timing/easings|timing/tracks)/(index|limits)\\.ts$';

const coreLayers = CORE.map((room, i) => ({
  name: `core-${[room].flat().join('-')}-on-lower-folders`,
  comment: `In the core: ${CORE.map((r) => [r].flat().join(', ')).join(' ← ')}.`,
  severity: 'error',
  from: { path: `^core/src/${alternatives([room])}/`, pathNot: '\\.test\\.ts$' },
  to: {
    path: '^core/src/',
    pathNot: [
      `^core/src/${alternatives(CORE.slice(0, i + 1))}/`,
      ...(room === 'model' ? [TABLES_OF_KINDS] : []),
    ],
  },
}));

/** The rooms beneath the commands, lowest first: each may import from itself and from those before it. */
const APP = ['store', 'render', 'persistence', 'playback'];
const appLayers = APP.map((room, i) =>
  only(
    `app-${room}-on-lower-rooms`,
    `^app/src/${room}/`,
    [
      // What is drawn from is handed to the drawing: it knows no store.
      `^app/src/${alternatives(room === 'render' ? [room] : APP.slice(0, i + 1))}/`,
      '^app/src/(kinds|ui|words)/',
      '^core/src/(index|views|files|shoot|checks/index|motion/traceOutline|http/contract|http/routes)\\.ts$',
    ],
    `In the app: ${APP.join(' ← ')}.`,
  ),
);

module.exports = {
  forbidden: [
    ...coreLayers,
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    only(
      'core-stands-alone',
      '^core/src/',
      ['^core/src/'],
      'The core knows nothing of interfaces, servers or files.',
    ),
    only(
      'cli-on-core',
      '^cli/src/',
      [
        '^cli/(src/|package\\.json$)',
        '^core/src/(index|views|files|scene|checks/index|print/index|print/pdf)\\.ts$',
      ],
      'The terminal command stands on the core.',
    ),
    only(
      'server-on-core',
      '^server/src/',
      [
        '^server/src/',
        '^core/src/(index|views|files|svg|http/contract|http/routes|testing/heavyShots)\\.ts$',
        'node_modules/',
      ],
      'The server stands on the core.',
    ),
    only(
      'words-beneath-all',
      '^app/src/words/',
      ['^app/src/words/'],
      'What the interface says knows nothing of it.',
    ),
    only('ui-beneath-all', '^app/src/ui/', ['^app/src/(ui|words)/'], 'The design system knows no shot.'),
    only(
      'kinds-on-core',
      '^app/src/kinds/',
      [
        '^app/src/(kinds|ui|words)/',
        '^core/src/(index|views|files|checks/index|http/contract|http/routes)\\.ts$',
      ],
      'What the interface says of each kind of thing stands on the core.',
    ),
    ...appLayers,
    only(
      'cameras-on-persistence',
      '^app/src/cameras/',
      [
        '^app/src/(cameras|workers|persistence|store|playback|kinds|ui|words)/',
        '^core/src/(index|scene|shoot|files|http/contract|http/routes)\\.ts$',
      ],
      'A camera gives pictures; what becomes of them is none of its business.',
    ),
    only(
      'commands-on-store',
      '^app/src/commands/',
      [
        '^app/src/(commands|cameras|store|persistence|playback|render|workers|kinds|ui|words)/',
        '^core/src/(index|views|files|shoot|checks/index|spacing/filmPace|http/contract|http/routes)\\.ts$',
      ],
      'A command does in one call what a user does.',
    ),
    only(
      'interaction-on-commands',
      '^app/src/interaction/',
      [
        '^app/src/(interaction|commands|playback|render|store|kinds|ui|words)/',
        '^core/src/(index|views)\\.ts$',
      ],
      'What features share of views that can be worked on stands on the commands, and draws nothing.',
    ),
    only(
      'workers-on-core',
      '^app/src/workers/',
      [
        '^app/src/workers/',
        '^core/src/(index|views|scan|scene|checks/index|arc/fitStroke|motion/traceOutline|gesture/thinGesture|print/index|print/pdf)\\.ts$',
      ],
      'A worker does the work of the core, aside.',
    ),
    {
      name: 'features-apart',
      comment: 'A feature never imports another; screens put them together.',
      severity: 'error',
      from: { path: '^app/src/features/([^/]+)/' },
      to: { path: '^app/src/(features|screens|app)/', pathNot: '^app/src/features/$1/' },
    },
    only(
      'screens-on-features',
      '^app/src/screens/',
      [
        '^app/src/(screens|features|interaction|commands|store|persistence|playback|render|kinds|ui|words)/',
        '^core/src/(index|views|files|checks/index|http/contract|http/routes)\\.ts$',
      ],
      'Screens put features together.',
    ),
    only(
      'routes-are-thin',
      '^app/src/app/',
      ['^app/src/(app|screens|store|ui)/', '^app/src/persistence/appStore\\.ts$', '^app/src/global\\.css$'],
      'A route names its screen.',
    ),
    {
      name: 'core-has-no-io',
      comment: 'No input or output in the core, and little beyond zod.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '(\\.test\\.ts$|/testing/)' },
      to: {
        path: 'node_modules|^node:',
        pathNot:
          'node_modules/(zod|papaparse|fflate|@types/papaparse|saxes|svgpath|pdf-lib|@pdf-lib/fontkit)/',
        dependencyTypesNot: ['local'],
      },
    },
    {
      name: 'core-has-no-node',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '(\\.test|testing/demoShots)\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.web.ts', '.js', '.json', '.d.ts'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
