// Do the tests bite? Plants small changes at random places of the core and runs the tests of what they touch:
// `npm run mutants`, or with `-- --seed 7`, `-- --count 40`, `-- --files arc/bend.ts,timing/retime.ts`.
// Only innermost places are drawn from: what holds others within itself (a whole function, say) is caught with them.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { Stryker } from '@stryker-mutator/core';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { ROOT, seconds } from './run.mjs';

/** Of the mutants that are planted, so many per cent must be caught. */
const LEAST_CAUGHT = 85;
/** Sentences and patterns are for people; what they say is no calculation. */
const LEFT_OUT = ['StringLiteral', 'Regex'];
/** Tested from the server; helpers of tests; drawings. */
const ELSEWHERE = /^(http|testing|motion\/standIns)/;

const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '20261126' },
    count: { type: 'string', default: '180' },
    files: { type: 'string' },
  },
});

process.chdir(join(ROOT, 'core'));

// Changes that change nothing to be seen, each with its reason.
const equivalent = JSON.parse(readFileSync('equivalentMutants.json', 'utf8'));
const trimmedLines = (file) =>
  readFileSync(file, 'utf8')
    .split('\n')
    .map((line) => line.trim());
for (const { file, line } of equivalent)
  if (!existsSync(file) || !trimmedLines(file).includes(line)) {
    console.error(`equivalentMutants.json names a line that is gone from ${file}:\n  ${line}`);
    process.exit(1);
  }
const isMeant = (name) => (values.files ? values.files.split(',').includes(name) : true);
const sources = readdirSync('src', { recursive: true })
  .filter((name) => /(?<!\.test|\.d)\.ts$/.test(name) && !ELSEWHERE.test(name) && isMeant(name))
  .sort();

/** A number for a text by a seed: the same text is drawn whatever else changes in the core. */
const chanceOf = (text) => createHash('sha256').update(`${values.seed} ${text}`).digest().readUInt32BE(0);

const quiet = new Proxy({}, { get: () => () => false });
const { mutants } = await new Instrumenter(quiet).instrument(
  sources.map((name) => ({
    name: resolve('src', name),
    content: readFileSync(join('src', name), 'utf8'),
    mutate: true,
  })),
  { plugins: null, excludedMutations: LEFT_OUT, ignorers: [], noHeader: true },
);

/** Places with all mutants that lie on them. */
const places = new Map();
for (const mutant of mutants) {
  if (mutant.status === 'Ignored') continue;
  const { start, end } = mutant.location;
  const key = `${mutant.fileName}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`;
  places.set(key, [...(places.get(key) ?? []), mutant]);
}
const isBefore = (a, b) => a.line < b.line || (a.line === b.line && a.column <= b.column);
const within = (inner, outer) => isBefore(outer.start, inner.start) && isBefore(inner.end, outer.end);
const all = [...places].map(([range, [{ fileName, location }]]) => ({ range, fileName, location }));
const innermost = all.filter(
  (place) =>
    !all.some(
      (other) =>
        other !== place && other.fileName === place.fileName && within(other.location, place.location),
    ),
);

const codeOf = ({ fileName, location: { start, end } }) => {
  const lines = readFileSync(fileName, 'utf8')
    .split('\n')
    .slice(start.line, end.line + 1);
  return `${fileName.replace(process.cwd(), '')} ${lines.map((line) => line.trim()).join(' ')} ${start.column}`;
};
const drawn = [];
let count = 0;
for (const place of innermost
  .map((one) => ({ ...one, chance: chanceOf(codeOf(one)) }))
  .sort((a, b) => a.chance - b.chance)) {
  if (count >= Number(values.count)) break;
  drawn.push(place.range);
  count += places.get(place.range).length;
}

const since = Date.now();
const results = await new Stryker({
  mutate: drawn.map((range) => range.replace(`${process.cwd()}/`, '')),
  mutator: { excludedMutations: LEFT_OUT },
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner'],
  coverageAnalysis: 'perTest',
  // What is worked out once, when a file is loaded, would need all tests of the core for each: half an hour.
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 5_000,
  reporters: ['dots'],
  cleanTempDir: 'always',
  tempDirName: '.mutants',
  checkers: [],
  allowEmpty: true,
  jest: {
    projectType: 'custom',
    enableFindRelatedTests: true,
    config: {
      ...(await import('../jest.node.cjs')).default,
      // Hundreds of icons take as long as all other tests together, and catch little that those do not.
      testPathIgnorePatterns: ['svgIcons'],
    },
  },
}).runMutationTest();

const lineOf = ({ fileName, location }) => trimmedLines(fileName)[location.start.line - 1];
const isEquivalent = (mutant) =>
  equivalent.some(
    ({ file, line, replacement }) =>
      mutant.fileName.endsWith(`/core/${file}`) &&
      line === lineOf(mutant) &&
      replacement === mutant.replacement,
  );
const isSurvivor = ({ status }) => status === 'Survived' || status === 'NoCoverage';

const judged = results.filter(
  (mutant) =>
    !['Ignored', 'CompileError', 'RuntimeError'].includes(mutant.status) &&
    !(isSurvivor(mutant) && isEquivalent(mutant)),
);
const survivors = judged.filter(isSurvivor);
for (const { fileName, location, mutatorName, replacement, status } of survivors) {
  const line = lineOf({ fileName, location });
  console.log(
    `\n${fileName.replace(`${ROOT}/`, '')}:${location.start.line}  ${mutatorName}${status === 'NoCoverage' ? ', no test comes here' : ''}`,
  );
  console.log(`  ${line}\n  → ${replacement.replace(/\s+/g, ' ').slice(0, 160)}`);
}
const caught = (100 * (judged.length - survivors.length)) / Math.max(1, judged.length);
console.log(
  `\n${judged.length - survivors.length} of ${judged.length} caught, ${caught.toFixed(1)} % (at least ${LEAST_CAUGHT} % are asked for); seed ${values.seed}, ${seconds(since)}`,
);
process.exit(caught >= LEAST_CAUGHT ? 0 : 1);
