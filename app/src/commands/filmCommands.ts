import { fetchAhead } from '../ui/fetchAhead';

/** The commands for films come as a part of their own: the first screen does not wait for them. */
export const filmCommands = fetchAhead(() => import('./films'));
