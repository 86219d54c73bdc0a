import type { Shot } from '@humble/core';
import type { OpenDocument } from '../../store/sessionSlice';
import type { AppStore } from '../../store/store';

export interface OpenShot {
  readonly shot: () => Shot | null;
  readonly document: () => OpenDocument | null;
  /** The shot as the server is known to have it; null where it is not known. */
  readonly settled: () => Shot | null;
  readonly settle: (shot: Shot | null) => void;
  /** What was sent last and has no answer yet; null where nothing waits for one. */
  readonly sent: () => Shot | null;
  readonly noteSent: (shot: Shot | null) => void;
  readonly isUnsent: () => boolean;
}

export function openShotOf(store: AppStore): OpenShot {
  let settled: Shot | null = null;
  let sent: Shot | null = null;
  const shot = (): Shot | null => store.getState().shot.present.shot;
  return {
    shot,
    document: () => store.getState().session.document,
    settled: () => settled,
    settle: (next) => {
      settled = next;
    },
    sent: () => sent,
    noteSent: (next) => {
      sent = next;
    },
    isUnsent: () => shot() !== null && shot() !== settled,
  };
}
