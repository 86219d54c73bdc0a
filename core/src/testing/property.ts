import * as fc from 'fast-check';

// One seed for everyone: a red run can be repeated, and a green one means the same everywhere.
// `npm run mutants` runs the tests hundreds of times, with fewer examples each.
fc.configureGlobal({ seed: 20261125, numRuns: Number(process.env.PROPERTY_RUNS ?? 200) });

export { fc };
