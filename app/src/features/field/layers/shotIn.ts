import type { RootState } from '../../../store/store';

export const shotIn = (state: RootState) => state.shot.present.shot;
