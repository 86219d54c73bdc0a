import { fetchAhead } from '../ui/fetchAhead';

/** What checks, reads and writes files. It brings the schema library and comes as a part of its own. */
export const fileFormats = fetchAhead(() => import('@humble/core/files'));
