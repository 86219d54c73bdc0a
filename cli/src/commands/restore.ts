import { serverCommand } from '../serverCommand';

/** A backup read back, beside what is there or instead of it; or the last daily copy. */
export default serverCommand('restore', {
  data: { type: 'string' },
  instead: { type: 'boolean' },
  'last-copy': { type: 'boolean' },
});
