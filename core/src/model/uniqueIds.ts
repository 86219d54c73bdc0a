import { TRACKS, type TrackName } from '../timing/tracks';
import { partAt } from './partNames';
import type { Complain } from './moveOrder';

interface Part {
  readonly id: string;
}

interface FigureParts extends Part {
  readonly drawingPairs: readonly { readonly pins: readonly Part[] }[];
  readonly followedSpots: readonly Part[];
}

interface MoveParts extends Part {
  readonly marks: readonly Part[];
  readonly shakes: readonly Part[];
  readonly riders: readonly FigureParts[];
  readonly tracks: Readonly<Record<TrackName, readonly Part[]>>;
}

interface WithIds {
  readonly figures: readonly FigureParts[];
  readonly arcs: readonly (Part & { readonly points: readonly Part[] })[];
  readonly moves: readonly MoveParts[];
  readonly waiting: readonly { readonly move: MoveParts | null }[];
  readonly gestures: readonly Part[];
  readonly takes: readonly Part[];
  readonly notes: readonly Part[];
  readonly cues: readonly Part[];
  readonly planes: readonly Part[];
  readonly shoot: { readonly pictures: readonly Part[] };
}

type Path = readonly PropertyKey[];

function listsOf(shot: WithIds): (readonly (readonly [path: Path, part: Part])[])[] {
  const at = <Of extends Part>(path: Path, parts: readonly Of[]) =>
    parts.map((part, i): readonly [Path, Of] => [[...path, i], part]);
  const moves = [
    ...at(['moves'], shot.moves),
    ...shot.waiting.flatMap(({ move }, i): (readonly [Path, MoveParts])[] =>
      move ? [[['waiting', i, 'move'], move]] : [],
    ),
  ];
  const withinFigures = (path: Path, figures: readonly FigureParts[]) =>
    at(path, figures).flatMap(([own, { drawingPairs, followedSpots }]) => [
      at([...own, 'followedSpots'], followedSpots),
      ...drawingPairs.map(({ pins }, i) => at([...own, 'drawingPairs', i, 'pins'], pins)),
    ]);
  return [
    [
      ...at(['figures'], shot.figures),
      ...at(['arcs'], shot.arcs),
      ...moves,
      ...at(['gestures'], shot.gestures),
    ],
    ...withinFigures(['figures'], shot.figures),
    ...shot.arcs.map(({ points }, i) => at(['arcs', i, 'points'], points)),
    at(['takes'], shot.takes),
    at(['notes'], shot.notes),
    at(['cues'], shot.cues),
    at(['shoot', 'pictures'], shot.shoot.pictures),
    at(['planes'], shot.planes),
    ...moves.flatMap(([path, { marks, shakes, riders, tracks }]) => [
      at([...path, 'marks'], marks),
      at([...path, 'shakes'], shakes),
      at([...path, 'riders'], riders),
      ...withinFigures([...path, 'riders'], riders),
      ...TRACKS.map(({ name }) => at([...path, 'tracks', name], tracks[name])),
    ]),
  ];
}

export function complainOfIds(shot: WithIds, complain: Complain): void {
  for (const list of listsOf(shot)) {
    const taken = new Map<string, Path>();
    for (const [path, { id }] of list) {
      const other = taken.get(id);
      if (other) complain([...path, 'id'], `${partAt(other)} has the id “${id}”, too`);
      else taken.set(id, path);
    }
  }
}
