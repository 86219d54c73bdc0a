import { edits } from '../edits/edits';
import type { Shot } from '../model/schema';
import { straightShot } from '../testing/shapes';
import { figuresSvg } from './figuresSvg';
import { partRows, writePartsCsv } from './partsCsv';
import { CARD_BYTES, shotCard } from './shotCard';

const moveId = 'move1';
const chain = (count: number, some: Partial<Parameters<typeof edits.makeChain>[1]> = {}): Shot =>
  edits.makeChain(straightShot(400, 21, { kind: 'even' }), {
    moveId,
    count,
    gap: { distance: 30 },
    toPercent: 50,
    taper: 'even',
    ...some,
  });

test('the parts file has a line for each part of each exposure, in the units of the sheet', () => {
  const shot = chain(3);
  const lines = writePartsCsv(shot).trimEnd().split('\n');
  expect(lines).toHaveLength(1 + 3 * 21);
  expect(lines[0]).toBe(
    'move,figure,part,frame,x,y,straight,heading_deg,size_percent,opacity_percent,drawing,units',
  );
  // Behind the figure the last of the chain, 60 units back; it lies at the back.
  const at = (part: string, frame: number) =>
    partRows(shot).find((row) => row.part === part && row.frame === frame)!;
  expect(at('Figure 1', 11)).toMatchObject({ x: 200, sizePercent: 100 });
  expect(at('Part 3', 11)).toMatchObject({ x: 140, y: 0, sizePercent: 50, headingDeg: 0 });
  expect(at('Part 3', 11).straight).toBeCloseTo(20, 9);
  // Laid out behind the start it goes along from the first frame on; in a heap it waits there.
  expect(at('Part 3', 2).straight).toBeCloseTo(20, 9);
  const heap = edits.makeChain(shot, {
    moveId,
    count: 3,
    gap: { distance: 30 },
    toPercent: 50,
    taper: 'even',
    isLaidOut: false,
  });
  expect(partRows(heap).find(({ part, frame }) => part === 'Part 3' && frame === 2)!.straight).toBe(0);
  const inMm = edits.setSheet(edits.setScale(shot, { unitsPerMm: 4 }), { units: 'mm' });
  expect(partRows(inMm).find(({ part, frame }) => part === 'Figure 1' && frame === 11)!.x).toBe(50);
  const hidden = edits.setRider(shot, { moveId, riderId: 'part2', hidden: true });
  expect(writePartsCsv(hidden).trimEnd().split('\n')).toHaveLength(1 + 2 * 21);
  expect(partRows(straightShot(400, 21))).toEqual([]);
});

test('the SVG has each part on each exposure, named', () => {
  const { looks, figures } = figuresSvg(chain(3));
  expect(looks).toHaveLength(1);
  expect(figures).toHaveLength(63);
  expect(figures[0]).toContain('<title>Part 3, frame 1</title>');
  // A bent part is its outline in the field.
  const bent = edits.setRider(chain(2), { moveId, riderId: 'part2', bends: true });
  expect(figuresSvg(bent).figures[0]).toContain('matrix(1 0 0 1 0 0)');
});

test('a card shows the parts, and stays light with forty of them', () => {
  const three = shotCard(chain(3));
  expect(new Set(three.ghosts.map(({ strength }) => strength)).size).toBeGreaterThan(2);
  expect(three.ghosts.length % 3).toBe(0);
  const forty = shotCard(chain(40));
  expect(forty.ghosts.length).toBeGreaterThanOrEqual(40);
  expect(JSON.stringify(forty).length).toBeLessThanOrEqual(CARD_BYTES);
});
