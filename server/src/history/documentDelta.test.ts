import { edits, freshShot, type Shot } from '@humble/core';
import { heavyShot } from '@humble/core/testing/heavyShots';
import { documentDelta, documentOfWhole, wholeDocument, withDelta } from './documentDelta';
import { documentsOf, filesIn, storedAfter, withoutOthers } from './revisionChain';

const heavy = heavyShot({ frames: 20_000, points: 60, marks: 2000, easing: 'even' });
const text = (shot: Shot): string => JSON.stringify(shot);
const renamed = (shot: Shot, name: string): Shot => edits.renameShot(shot, { name });

test('a delta gives the newer text back, wherever the two differ', () => {
  const pairs: readonly (readonly [string, string])[] = [
    ['', ''],
    ['', 'abc'],
    ['abc', ''],
    ['aaa', 'aa'],
    ['{"a":[1,2],"b":{"c":3},"d":4}', '{"a":[1],"b":{"c":3},"d":5}'],
    [text(heavy), text(renamed(edits.setLength(heavy, { lengthFrames: 3000 }), 'Ärger & Co. 🐟'))],
  ];
  for (const [older, newer] of pairs) expect(withDelta(older, documentDelta(older, newer))).toBe(newer);
});

test('it weighs what changed: one point of a heavy shot, or a name and the last mark, far apart', () => {
  const moved = edits.movePoint(heavy, { arcId: 'arc1', pointId: 'p30', to: { x: 5, y: 6 } });
  expect(documentDelta(text(heavy), text(moved)).length).toBeLessThan(200);
  const move = heavy.moves[0]!;
  const last = move.marks.at(-2)!;
  const both = renamed(
    edits.moveMarks(heavy, { moveId: move.id, markIds: [last.id], byFrames: -1, takesLater: false }),
    'Another name',
  );
  expect(documentDelta(text(heavy), text(both)).length).toBeLessThan(400);
  expect(wholeDocument(text(heavy)).length).toBeGreaterThan(10_000);
});

test('a delta that belongs to another text says so', () => {
  expect(() => withDelta('abcd', documentDelta('abc', 'abx'))).toThrow('damaged');
});

test('a chain gives each of its documents, also after most of it is gone', () => {
  const fresh = freshShot({ name: 'R 1', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
  const documents = Array.from({ length: 30 }, (_, i) => text(renamed(fresh, `R ${i + 1}`)));
  const chain = documents.map((document, i) =>
    storedAfter(i === 0 ? null : { revision: i, document: documents[i - 1]! }, { revision: i + 1, document }),
  );
  expect([...documentsOf(chain)].map(({ document }) => document)).toEqual(documents);
  const kept = new Set([3, 4, 17, 30]);
  const { changed } = withoutOthers(chain, kept);
  // The fourth goes on standing on the third.
  expect(changed.map(({ revision }) => revision)).toEqual([3, 17, 30]);
  const left = chain
    .filter(({ revision }) => kept.has(revision))
    .map((one) => changed.find(({ revision }) => revision === one.revision) ?? one);
  expect([...documentsOf(left)].map(({ document }) => document)).toEqual(
    [...kept].map((revision) => documents[revision - 1]),
  );
  expect(() => [...documentsOf(left.slice(1))]).toThrow('damaged');
});

test('the files that a document names are found once each', () => {
  const sha256 = 'ab'.repeat(32);
  expect(filesIn(`{"picture":{"sha256":"${sha256}"},"again":{"sha256": "${sha256}"}}`)).toEqual([sha256]);
  expect(documentOfWhole(wholeDocument('ä'))).toBe('ä');
});
