import { fetchAhead } from '../ui/fetchAhead';

export const fileFormats = fetchAhead(() => import('@humble/core/files'));
