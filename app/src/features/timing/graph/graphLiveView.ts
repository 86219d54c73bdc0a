import { createLiveView } from '../../../render/frameScheduler';

export const GRAPH_LIVE_VIEW = createLiveView();
