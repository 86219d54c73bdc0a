import { generateSW } from 'workbox-build';

/** A picture or a sound is named by its content: what is kept of it never grows old. */
const KEPT_FILES = ({ url, request }) =>
  request.method === 'GET' && /^\/api\/(pictures|sounds)\/[0-9a-f]{64}(\/small)?$/.test(url.pathname);
const MAX_PICTURES = 300;
/** The largest part of the application is smaller, bytes. */
const MAX_PART_BYTES = 6 * 1024 * 1024;

/**
 * Writes the service worker beside the exported application: it keeps all parts of it on the device, so that it starts
 * without the server. One that replaces another waits until no page of the old one is open, or is told to go on.
 * @param folder of the exported application
 */
export async function buildServiceWorker(folder) {
  const { count, warnings } = await generateSW({
    globDirectory: folder,
    globPatterns: ['**/*.{js,css,html,ttf,svg,webmanifest}', 'icons/*.png', 'guide-pages/*'],
    // What belongs to it comes with it.
    globIgnores: ['sw.js', 'metadata.json'],
    swDest: `${folder}/sw.js`,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: 'production',
    maximumFileSizeToCacheInBytes: MAX_PART_BYTES,
    dontCacheBustURLsMatching: /[.-][0-9a-f]{32}\./,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//, /\.[a-z0-9]+$/i],
    clientsClaim: true,
    skipWaiting: false,
    cleanupOutdatedCaches: true,
    runtimeCaching: [
      {
        urlPattern: KEPT_FILES,
        handler: 'CacheFirst',
        options: {
          cacheName: 'humble-pictures',
          expiration: { maxEntries: MAX_PICTURES, purgeOnQuotaError: true },
          cacheableResponse: { statuses: [200] },
        },
      },
    ],
  });
  if (warnings.length > 0) throw new Error(warnings.join('\n'));
  return count;
}
