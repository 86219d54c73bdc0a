import { FASTEST_RECORDING, type GhostChoice, type PosePath, SLOWEST_RECORDING } from '@humble/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { preferredTheme } from '../ui/theme';

/** What belongs to the person at the desk, not to a shot: kept on this device. */
export interface Settings {
  readonly theme: 'paper' | 'lampout';
  readonly ghosts: GhostChoice;
  readonly showsGhosts: boolean;
  readonly showsTrail: boolean;
  readonly showsNumbers: boolean;
  readonly loops: boolean;
  /** How strongly arcs and trails are drawn, up to 1. */
  readonly guideStrength: number;
  readonly showsArrows: boolean;
  readonly showsComb: boolean;
  readonly showsGrid: boolean;
  readonly showsMargins: boolean;
  /** Side of a square of the grid, field units. */
  readonly gridSize: number;
  readonly snapsToGrid: boolean;
  /** Points of arcs and the middle of the field attract what is dragged. */
  readonly snapsToPoints: boolean;
  /** So do the level and upright lines through them. */
  readonly snapsToLines: boolean;
  /** How many frames to both sides go along with a tick that is dragged. */
  readonly tickReach: number;
  /** Marks after one that is moved in time, or after a hold that is put in, come along. */
  readonly takesLater: boolean;
  /** What gives way when an increment is typed: the rest of its span, or the end of it. */
  readonly incrementMoves: 'rest' | 'end';
  /** Which view of the timing a phone shows. */
  readonly timingView: TimingView;
  /** How the figure gets to a pose that is put. */
  readonly posePath: PosePath;
  /** How fast gestures are recorded; 1 is true speed. */
  readonly recordingSpeed: number;
  /** The hand is counted in before a gesture is recorded. */
  readonly countsIn: boolean;
  /** The shot plays while a gesture is recorded. */
  readonly playsMeanwhile: boolean;
  /** The way of the hand is shown beneath the arc it became. */
  readonly showsGesture: boolean;
}

export type TimingView = 'ruler' | 'graph' | 'chart' | 'numbers';

export const MOST_GHOSTS = 100;
export const LEAST_GUIDE_STRENGTH = 0.1;
export const MOST_GRID = 2_000;
export const MOST_REACH = 500;

const settingsSchema = z.object({
  theme: z.enum(['paper', 'lampout']),
  ghosts: z.object({
    before: z.number().int().min(0).max(MOST_GHOSTS),
    after: z.number().int().min(0).max(MOST_GHOSTS),
    every: z.number().int().min(1).max(24),
  }),
  showsGhosts: z.boolean(),
  showsTrail: z.boolean(),
  showsNumbers: z.boolean(),
  loops: z.boolean(),
  guideStrength: z.number().min(LEAST_GUIDE_STRENGTH).max(1),
  showsArrows: z.boolean(),
  showsComb: z.boolean(),
  showsGrid: z.boolean(),
  showsMargins: z.boolean(),
  gridSize: z.number().min(1).max(MOST_GRID),
  snapsToGrid: z.boolean(),
  snapsToPoints: z.boolean(),
  snapsToLines: z.boolean(),
  tickReach: z.number().int().min(0).max(MOST_REACH),
  takesLater: z.boolean(),
  incrementMoves: z.enum(['rest', 'end']),
  timingView: z.enum(['ruler', 'graph', 'chart', 'numbers']),
  posePath: z.enum(['straight', 'curved']),
  recordingSpeed: z.number().min(SLOWEST_RECORDING).max(FASTEST_RECORDING),
  countsIn: z.boolean(),
  playsMeanwhile: z.boolean(),
  showsGesture: z.boolean(),
});

const STORAGE_KEY = 'humble-settings';

const freshSettings = (): Settings => ({
  theme: preferredTheme(),
  ghosts: { before: 3, after: 2, every: 2 },
  showsGhosts: true,
  showsTrail: true,
  showsNumbers: true,
  loops: true,
  guideStrength: 1,
  showsArrows: false,
  showsComb: false,
  showsGrid: false,
  showsMargins: false,
  gridSize: 60,
  snapsToGrid: false,
  snapsToPoints: true,
  snapsToLines: true,
  tickReach: 3,
  takesLater: false,
  incrementMoves: 'rest',
  timingView: 'ruler',
  posePath: 'curved',
  recordingSpeed: 1,
  countsIn: false,
  playsMeanwhile: true,
  showsGesture: true,
});

/** Settings of an earlier visit; fresh ones when there are none or they make no sense. */
export function loadSettings(): Settings {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(STORAGE_KEY) ?? 'null');
    // An earlier release knew fewer of them; what it knew still holds.
    const stored = settingsSchema.safeParse(
      typeof kept === 'object' && kept !== null ? { ...freshSettings(), ...kept } : null,
    );
    return stored.success ? stored.data : freshSettings();
  } catch {
    return freshSettings();
  }
}

export function storeSettings(settings: Settings): void {
  try {
    localStorage.setItem(STORAGE_KEY, JSON.stringify(settings));
  } catch {
    // A browser that keeps nothing still works; the next visit starts fresh.
  }
}

const settings = createSlice({
  name: 'settings',
  initialState: loadSettings,
  reducers: {
    settingsChanged: (state, { payload }: PayloadAction<Partial<Settings>>) => ({ ...state, ...payload }),
  },
});

export const { settingsChanged } = settings.actions;
export const settingsReducer = settings.reducer;
