import { serverCommand } from '../serverCommand';

/** Everything that the server keeps, in one ZIP file. */
export default serverCommand('backup', { data: { type: 'string' }, out: { type: 'string' } });
