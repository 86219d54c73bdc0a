import type { Command } from '../command';

/** The commands, in the order of the help. Each is loaded when it is asked for. */
export const COMMANDS: Readonly<Record<string, () => Promise<{ readonly default: Command }>>> = {
  sample: () => import('./sample'),
  sheet: () => import('./sheet'),
  chart: () => import('./chart'),
  convert: () => import('./convert'),
  render: () => import('./render'),
  print: () => import('./print'),
  pack: () => import('./pack'),
  unpack: () => import('./unpack'),
  solve: () => import('./solve'),
  check: () => import('./check'),
  'check-file': () => import('./checkFile'),
  backup: () => import('./backup'),
  verify: () => import('./verify'),
  restore: () => import('./restore'),
};
