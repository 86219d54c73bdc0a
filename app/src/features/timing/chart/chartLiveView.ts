import { createLiveView } from '../../../render/frameScheduler';

export const LADDER_LIVE_VIEW = createLiveView();
