import * as core from '@humble/core';
import type { FirstFrameNumber } from '@humble/core';
import { createExternalStore } from '../ui/externalStore';

/** From what the user counts frames. Set by the store whenever that setting changes; the bench is then built anew. */
const first = createExternalStore<FirstFrameNumber>(1);

export const countFramesFrom = first.set;
export const firstFrameNumber = first.get;

export const frameNumber = (frame: number): number => core.frameNumber(frame, first.get());

export const frameNumbered = (number: number): number => core.frameNumbered(number, first.get());

export const sentenceOfError = (error: core.ShotError): string => error.messageFrom(first.get());
