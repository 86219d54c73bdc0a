#!/usr/bin/env node
// Runs the TypeScript source directly: in the checkout there is nothing to build first.
import { fileURLToPath } from 'node:url';
import { register } from 'tsx/esm/api';

register();
process.env.HUMBLE_PENDULUM_ROOT = fileURLToPath(new URL('../..', import.meta.url));
const { main } = await import('../src/main.ts');
process.exitCode = await main(process.argv.slice(2));
