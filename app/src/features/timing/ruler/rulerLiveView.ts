import { createLiveView } from '../../../render/frameScheduler';

export const RULER_LIVE_VIEW = createLiveView();
