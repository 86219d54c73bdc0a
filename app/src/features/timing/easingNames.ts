import type { Easing, EasingKind } from '@humble/core';

export const EASING_NAMES: Readonly<Record<EasingKind, string>> = {
  even: 'Even',
  ramped: 'Leaves and arrives',
  curve: 'Curve',
  flow: 'Flows through',
  'slow-place': 'Slow at a place',
  settle: 'Settles',
  bounce: 'Bounces',
  snap: 'Stays, then jumps',
  ticks: 'By chart',
};

/** One sentence for each way to travel. */
const SENTENCES: Readonly<Record<Exclude<EasingKind, 'ramped'>, string>> = {
  even: 'The same increment on every frame.',
  curve: 'A curve of time and way with two handles; it may start backwards or overshoot.',
  flow: 'Goes through its marks without a jump of speed, and stands at stops.',
  'slow-place': 'Slowest at one place of the way.',
  settle: 'Swings past the mark and comes to rest on it.',
  bounce: 'Falls onto the mark and bounces there.',
  snap: 'Stays put, and is at the mark on its frame.',
  ticks: 'An explicit chart: one place for every frame.',
};

export const sentenceFor = (easing: Easing): string =>
  easing.kind === 'ramped'
    ? easing.ramp === 'steady'
      ? 'Speed grows and falls evenly.'
      : 'Speed grows and falls gently at both ends of the ramp.'
    : SENTENCES[easing.kind];

/** A short name that tells steady and soft ramps apart. */
export const nameOfEasing = (easing: Easing): string =>
  easing.kind === 'ramped' ? (easing.ramp === 'steady' ? 'Steady' : 'Soft') : EASING_NAMES[easing.kind];
