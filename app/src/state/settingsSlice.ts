import type { GhostChoice } from '@humble/core';
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
}

export const MOST_GHOSTS = 100;

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
});

const STORAGE_KEY = 'humble-settings';

const freshSettings = (): Settings => ({
  theme: preferredTheme(),
  ghosts: { before: 3, after: 2, every: 2 },
  showsGhosts: true,
  showsTrail: true,
  showsNumbers: true,
  loops: true,
});

/** Settings of an earlier visit; fresh ones when there are none or they make no sense. */
export function loadSettings(): Settings {
  try {
    const stored = settingsSchema.safeParse(JSON.parse(localStorage.getItem(STORAGE_KEY) ?? 'null'));
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
