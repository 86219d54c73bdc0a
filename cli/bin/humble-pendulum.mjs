#!/usr/bin/env node
// Runs the TypeScript source directly: in the checkout there is nothing to build first.
import { register } from 'tsx/esm/api';

register();
const { main } = await import('../src/main.ts');
process.exitCode = await main(process.argv.slice(2));
