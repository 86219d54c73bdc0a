import { arcLength } from '../arc/arcMeasure';
import { fromCubics } from '../arc/cubicChain';
import { arcOf, circle, markAt, shotAlong, straightShot, withMarks } from '../testing/shapes';
import { edits } from '../edits/edits';
import { arcSvg } from './arcSvg';
import { EXPORTERS } from './exporters';
import { readSvgDrawing } from './svgDrawing';

const shot = withMarks(
  straightShot(400, 21),
  markAt(1, 0),
  markAt(11, 0.25, { kind: 'pass' }),
  markAt(21, 1),
);

/** What a layer of the drawing holds. */
const layerOf = (svg: string, id: string): string => new RegExp(`<g id="${id}"[^]*?</g>`).exec(svg)![0];

test('arc, ticks, posts and numbers are layers, in field units', () => {
  const svg = arcSvg(shot);
  expect(svg).toMatch('width="1920" height="1080" viewBox="0 0 1920 1080"');
  expect(layerOf(svg, 'arc')).toMatch('M0 0C');
  expect(layerOf(svg, 'ticks').match(/M/g)).toHaveLength(21);
  // Two stops have a post and a foot, the pass has two halves.
  expect(layerOf(svg, 'posts').match(/M/g)).toHaveLength(6);
  expect([...layerOf(svg, 'numbers').matchAll(/>(\d+)<\/text>/g)].map(([, frame]) => Number(frame))).toEqual([
    1, 5, 10, 11, 15, 20, 21,
  ]);
});

test('a tick stands across the arc where the figure is', () => {
  const svg = arcSvg(straightShot(400, 5));
  const half = 1080 * 0.012;
  expect(layerOf(svg, 'ticks')).toMatch(`M100 ${-half}L100 ${half}`);
});

test('with a scale it has its true size', () => {
  const scaled = arcSvg(edits.setScale(shot, { unitsPerMm: 4 }));
  expect(scaled).toMatch('width="480mm" height="270mm" viewBox="0 0 1920 1080"');
  expect(scaled).toMatch('4 to a millimetre');
});

test('read back, its arc is as long as it was', () => {
  const round = shotAlong(circle(200), 20);
  const [line] = readSvgDrawing(layerOf(arcSvg(round), 'arc').replace(/^/, '<svg>') + '</svg>');
  const length = arcLength(arcOf(fromCubics(line!.cubics, line!.closed), line!.closed));
  expect(length / arcLength(round.arcs[0]!)).toBeCloseTo(1, 5);
});

test('names cannot break out, and hidden arcs are left out', () => {
  const named = edits.setArc(shot, { arcId: 'arc1', name: '<script>"&' });
  expect(arcSvg(named)).toMatch('&lt;script&gt;&quot;&amp;');
  const hidden = edits.setArc(shot, { arcId: 'arc1', hidden: true });
  expect(arcSvg(hidden)).not.toMatch(/<path|<text/);
  expect(EXPORTERS.find(({ flag }) => flag === 'svg')!.isPossible(hidden)).toBe(false);
});

test('numbers stand beside the arc, and lines are thin against the field', () => {
  const shot = straightShot(300, 11);
  const svg = arcSvg(shot);
  const [, x, y] = /<text x="([^"]+)" y="([^"]+)">6<\/text>|<text x="([^"]+)" y="([^"]+)">5<\/text>/
    .exec(svg)!
    .filter((part) => part !== undefined) as [string, string, string];
  expect(Number(x)).toBeGreaterThan(0);
  expect(Math.abs(Number(y))).toBeGreaterThan(2);
  expect(Math.abs(Number(y))).toBeLessThan(shot.field.height / 10);
  const widths = [...svg.matchAll(/stroke-width="([^"]+)"/g)].map(([, width]) => Number(width));
  expect(widths.length).toBeGreaterThan(1);
  for (const width of widths) {
    expect(width).toBeGreaterThan(0.3);
    expect(width).toBeLessThan(shot.field.height / 100);
  }
});

describe('the figures of the drawing', () => {
  const faded = edits.setKey(shot, { moveId: 'move1', track: 'opacity', frame: 1, value: 40 });

  test('stand on exposures as they are turned, sized and faded, each look once', () => {
    const sized = edits.setKey(faded, { moveId: 'move1', track: 'size', frame: 1, value: 50 });
    const svg = arcSvg(edits.setTurning(sized, { moveId: 'move1', correctionDeg: 90 }));
    expect(svg.match(/<path id="look/g)).toHaveLength(1);
    const uses = [
      ...layerOf(svg, 'figures').matchAll(/<use href="#look1" transform="([^"]*)" opacity="0.4">/g),
    ];
    expect(uses).toHaveLength(21);
    // Half as high as 173 of 100, a quarter turn on, the foot at (30, 100) on the start of the arc.
    expect(uses[0]![1]).toBe('matrix(0 0.865 -0.865 0 86.5 -25.95)');
    expect(svg).toMatch('<title>Figure 1, frame 21</title>');
  });

  test('of a long move at most 24 are shown; hidden and faded ones are not', () => {
    expect(layerOf(arcSvg(straightShot(400, 300)), 'figures').match(/<use/g)).toHaveLength(24);
    const hidden = edits.setFigure(shot, { figureId: 'figure1', hidden: true });
    expect(layerOf(arcSvg(hidden), 'figures')).not.toMatch('<use');
    const gone = edits.setKey(shot, { moveId: 'move1', track: 'opacity', frame: 1, value: 0 });
    expect(layerOf(arcSvg(gone), 'figures')).not.toMatch('<use');
  });

  test('one that waits stands once, and the drawing still reads back as its arcs alone', () => {
    const waiting = edits.detachFigure(shot, { figureId: 'figure1', frame: 11 });
    const svg = arcSvg(waiting);
    expect(layerOf(svg, 'figures').match(/<use/g)).toHaveLength(1);
    expect(readSvgDrawing(svg)).toHaveLength(readSvgDrawing(svg.replace(/<defs>.*<\/defs>/, '')).length);
  });
});
