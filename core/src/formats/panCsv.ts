import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { byCompass, movedArtwork, panTable } from '../spacing/panTable';
import { csvText } from './csvTable';
import { harmless, written } from './incrementsCsv';

/**
 * The pan table as CSV: a line for each exposure of the camera, with the step of the camera and the one of the artwork
 * under a camera that stands still, both by the axes and by compass, the size of the frame, and each plane's own step.
 */
export function writePanCsv(shot: Shot, first: FirstFrameNumber = 1): string {
  const table = panTable(shot);
  const { rows, names, units } = table ?? { rows: [], names: [], units: shot.sheet.units };
  const fields = [
    ...['frame', 'held', 'camera_across', 'camera_down', 'camera_compass'],
    ...['artwork_across', 'artwork_down', 'artwork_compass', 'total_across', 'total_down'],
    ...['width', 'percent', 'inches', 'turn_deg', 'units'],
    ...names.flatMap((name) => [`plane: ${harmless(name)} across`, `plane: ${harmless(name)} down`]),
  ];
  const data = rows.map((row) => {
    const artwork = movedArtwork(row);
    return [
      String(frameNumber(row.frame, first)),
      String(row.framesHeld),
      written(row.across),
      written(row.down),
      byCompass(row),
      written(artwork.across),
      written(artwork.down),
      byCompass(artwork),
      ...[row.totalAcross, row.totalDown, row.width, row.percent, row.inches, row.turnDeg].map(written),
      units,
      ...row.planes.flatMap(({ across, down }) => [written(across), written(down)]),
    ];
  });
  return csvText(fields, data);
}
