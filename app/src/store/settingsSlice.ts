import {
  MAX_RECORDING_SPEED,
  FIELD_SIDE,
  type FirstFrameNumber,
  MAX_NAME_LENGTH,
  MAX_SHOT_FRAMES,
  type PosePath,
  MIN_RECORDING_SPEED,
} from '@humble/core';
import { type GhostChoice } from '@humble/core/views';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { GroupName, GroupOfStep } from '../kinds/groups';
import type { WorkStep } from '../kinds/steps';
import { preferredTheme } from '../ui/theme';

export const PLAYBACK_SPEEDS = [1, 0.5, 0.25] as const;

const KEY_LINES = ['place', 'drawing', 'turn', 'size', 'offset', 'opacity', 'lean'] as const;

/** What keys of a figure, and its lean, are about. */
export type KeyLine = (typeof KEY_LINES)[number];

/** What belongs to the person at the desk, not to a shot: kept on this device. */
export interface Settings {
  readonly theme: 'paper' | 'lampout';
  readonly ghosts: GhostChoice;
  readonly showsGhosts: boolean;
  readonly showsTrail: boolean;
  readonly showsNumbers: boolean;
  readonly loops: boolean;
  /** How fast the shot plays; 1 is true speed. */
  readonly playbackSpeed: number;
  readonly hearsSound: boolean;
  /** How strongly arcs and trails are drawn, up to 1. */
  readonly guideStrength: number;
  readonly showsArrows: boolean;
  readonly showsComb: boolean;
  readonly showsGrid: boolean;
  readonly showsMargins: boolean;
  /** Side of a square of the grid, field units. */
  readonly gridSize: number;
  readonly snapsToGrid: boolean;
  readonly snapsToPoints: boolean;
  readonly snapsToLines: boolean;
  readonly tickReach: number;
  /** Marks after one that is moved in time, or after a hold that is put in, come along. */
  readonly takesLater: boolean;
  /** Adjust when an increment is typed: the rest of its span, or the end of it. */
  readonly incrementMoves: 'rest' | 'end';
  readonly timingView: TimingView;
  readonly posePath: PosePath;
  /** How fast gestures are recorded; 1 is true speed. */
  readonly recordingSpeed: number;
  /** The hand is counted in before a gesture is recorded. */
  readonly countsIn: boolean;
  readonly playsMeanwhile: boolean;
  readonly showsGesture: boolean;
  /** Of the shot that was made last: offered again for the next. */
  readonly newShot: NewShotNumbers;
  /** In which order the list shows the shots of a film. */
  readonly listOrder: ListOrder;
  /** The film that the last new shot was made for; it is offered again. */
  readonly lastFilm: string;
  /** What the first frame is called. */
  readonly firstFrame: FirstFrameNumber;
  /** The line of the figure's keys that is open; null for none. */
  readonly keyLine: KeyLine | null;
  readonly camera: CameraName;
  /** Of the cameras of that kind; the first one without it. */
  readonly cameraDevice: string | null;
  /** The width of its pictures that is asked for, pixels. */
  readonly cameraWidth: number;
  /** How strongly the last picture lies over the live one, 0 to 1. */
  readonly onion: number;
  readonly shootGuides: ShootGuides;
  readonly speaksIncrement: boolean;
  readonly clicksOnTake: boolean;
  /** The theme while something is shot: a studio is dark. */
  readonly shootTheme: Settings['theme'];
  /** The shot on which the first one is tried with hints; null where nobody does. */
  readonly lessonShotId: string | null;
  /** Size and register marks of sheets for in-betweens, as they were typed last. */
  readonly inbetweenSheets: Readonly<Record<string, string | number | null>>;
  /** How the pan table is read. */
  readonly panReading: { readonly moves: 'camera' | 'artwork'; readonly by: 'axes' | 'compass' };
  readonly groupInFront: { readonly [Step in WorkStep]?: GroupName<Step> };
  /** Which groups are open on a wide screen, by step and group; one that is not named is as it starts. */
  readonly groupsOpen: Readonly<Record<string, boolean>>;
}

const CAMERA_NAMES = ['stage', 'webcam', 'folder'] as const;

export type CameraName = (typeof CAMERA_NAMES)[number];

/** What is drawn over the live picture: arc and cross-hair, the cross-hair alone, or nothing. */
const SHOOT_GUIDES = ['all', 'cross', 'none'] as const;

export type ShootGuides = (typeof SHOOT_GUIDES)[number];

export interface NewShotNumbers {
  readonly rate: number;
  readonly length: number;
  readonly width: number;
  readonly height: number;
  /** How wide the field is on the set, mm; none for a field without a scale. Settings of before have none. */
  readonly widthMm?: number | null;
  /** What places are rounded to on a ruler; not rounded without it. */
  readonly rulerStep?: number | null;
}

/** By hand, the one changed last first, or by name. */
export type ListOrder = 'hand' | 'change' | 'name';

export type TimingView = 'ruler' | 'graph' | 'chart' | 'numbers';

export const MAX_GHOSTS = 100;
export const MIN_GUIDE_STRENGTH = 0.1;
export const MAX_GRID = 2_000;
export const MAX_REACH = 500;

type Check = (value: unknown) => boolean;

const flag: Check = (value) => typeof value === 'boolean';
const oneOf =
  (...names: readonly string[]): Check =>
  (value) =>
    names.includes(value as string);
const between =
  (least: number, most: number): Check =>
  (value) =>
    typeof value === 'number' && value >= least && value <= most;
const whole =
  (least: number, most: number): Check =>
  (value) =>
    Number.isInteger(value) && between(least, most)(value);

const recordOf =
  (check: Check): Check =>
  (value) =>
    typeof value === 'object' && value !== null && Object.values(value).every(check);

/** What each setting may be. By hand, since the first screen does not wait for the schema library. */
const CHECKS: Readonly<Record<keyof Settings, Check>> = {
  theme: oneOf('paper', 'lampout'),
  ghosts: (value) => {
    const { before, after, every } = (value ?? {}) as Partial<GhostChoice>;
    return whole(0, MAX_GHOSTS)(before) && whole(0, MAX_GHOSTS)(after) && whole(1, 24)(every);
  },
  showsGhosts: flag,
  showsTrail: flag,
  showsNumbers: flag,
  loops: flag,
  playbackSpeed: (value) => PLAYBACK_SPEEDS.some((speed) => speed === value),
  hearsSound: flag,
  guideStrength: between(MIN_GUIDE_STRENGTH, 1),
  showsArrows: flag,
  showsComb: flag,
  showsGrid: flag,
  showsMargins: flag,
  gridSize: between(1, MAX_GRID),
  snapsToGrid: flag,
  snapsToPoints: flag,
  snapsToLines: flag,
  tickReach: whole(0, MAX_REACH),
  takesLater: flag,
  incrementMoves: oneOf('rest', 'end'),
  timingView: oneOf('ruler', 'graph', 'chart', 'numbers'),
  posePath: oneOf('straight', 'curved'),
  recordingSpeed: between(MIN_RECORDING_SPEED, MAX_RECORDING_SPEED),
  countsIn: flag,
  playsMeanwhile: flag,
  showsGesture: flag,
  newShot: (value) => {
    const { rate, length, width, height, widthMm, rulerStep } = (value ?? {}) as Partial<NewShotNumbers>;
    const mayBeMissing = [widthMm, rulerStep].every((of) => of == null || (typeof of === 'number' && of > 0));
    const isSide = between(FIELD_SIDE.min, FIELD_SIDE.max);
    return (
      between(1, 240)(rate) &&
      whole(2, MAX_SHOT_FRAMES)(length) &&
      isSide(width) &&
      isSide(height) &&
      mayBeMissing
    );
  },
  listOrder: oneOf('hand', 'change', 'name'),
  lastFilm: (value) => typeof value === 'string' && value.length <= MAX_NAME_LENGTH,
  firstFrame: whole(0, 1),
  keyLine: (value) => value === null || oneOf(...KEY_LINES)(value),
  camera: oneOf(...CAMERA_NAMES),
  cameraDevice: (value) => value === null || typeof value === 'string',
  cameraWidth: whole(160, 8_000),
  onion: between(0, 1),
  shootGuides: oneOf(...SHOOT_GUIDES),
  speaksIncrement: flag,
  clicksOnTake: flag,
  shootTheme: oneOf('paper', 'lampout'),
  lessonShotId: (value) => value === null || typeof value === 'string',
  inbetweenSheets: recordOf((value) => value === null || ['string', 'number'].includes(typeof value)),
  panReading: (value) => {
    const { moves, by } = (value ?? {}) as Partial<Settings['panReading']>;
    return oneOf('camera', 'artwork')(moves) && oneOf('axes', 'compass')(by);
  },
  groupInFront: recordOf((value) => typeof value === 'string'),
  groupsOpen: recordOf(flag),
};

const STORAGE_KEY = 'humble-settings';

const freshSettings = (): Settings => ({
  theme: preferredTheme(),
  ghosts: { before: 3, after: 2, every: 2 },
  showsGhosts: true,
  showsTrail: true,
  showsNumbers: true,
  loops: true,
  playbackSpeed: 1,
  hearsSound: true,
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
  newShot: { rate: 24, length: 48, width: 1920, height: 1080 },
  listOrder: 'change',
  lastFilm: '',
  firstFrame: 1,
  keyLine: null,
  camera: 'stage',
  cameraDevice: null,
  cameraWidth: 1920,
  onion: 0,
  shootGuides: 'all',
  speaksIncrement: false,
  clicksOnTake: true,
  shootTheme: 'lampout',
  lessonShotId: null,
  inbetweenSheets: {},
  panReading: { moves: 'camera', by: 'axes' },
  groupInFront: {},
  groupsOpen: {},
});

/** Settings of an earlier visit; a fresh one for each that is not there or makes no sense. */
export function loadSettings(): Settings {
  const fresh = freshSettings();
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(STORAGE_KEY) ?? 'null');
    if (typeof kept !== 'object' || kept === null) return fresh;
    const sound = Object.entries(kept).filter(([name, value]) => CHECKS[name as keyof Settings]?.(value));
    return { ...fresh, ...Object.fromEntries(sound) };
  } catch {
    return fresh;
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
    /** A group of a step's panel is wanted: it is shown, and unfolded. */
    groupBroughtForward: (state, { payload: { step, group } }: PayloadAction<GroupOfStep>) => ({
      ...state,
      groupInFront: { ...state.groupInFront, [step]: group },
      groupsOpen: { ...state.groupsOpen, [`${step} ${group}`]: true },
    }),
    groupFolded: (state, { payload: { step, group } }: PayloadAction<GroupOfStep>) => ({
      ...state,
      groupsOpen: { ...state.groupsOpen, [`${step} ${group}`]: false },
    }),
  },
});

/** The theme of a step: what is shot is shot in the dark, unless somebody turned the lamp on. */
export const themeIn = ({ theme, shootTheme }: Settings, step: WorkStep): Settings['theme'] =>
  step === 'shoot' ? shootTheme : theme;

export const { groupBroughtForward, groupFolded, settingsChanged } = settings.actions;
export const settingsReducer = settings.reducer;
