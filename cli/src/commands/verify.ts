import { serverCommand } from '../serverCommand';

/** Whether a backup, or the data themselves, are whole. */
export default serverCommand('verify', { data: { type: 'string' } });
