import { fetchAhead } from '../ui/fetchAhead';

export const filmCommands = fetchAhead(() => import('./films'));
