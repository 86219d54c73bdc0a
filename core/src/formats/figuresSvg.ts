import { shownExposures } from '../exposure/shownFrames';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { evaluate, type Travel } from '../motion/evaluate';
import { type FigureOn, partsOn, waitingFigure } from '../motion/figureOn';
import { svgMatrix } from '../motion/look';
import { escapedXml } from './escapedXml';

/** So many exposures of a move show their figure: evenly chosen, the first and the last among them. */
const MAX_FIGURES = 24;

const written = (value: number): string => String(Number(value.toFixed(3)) + 0);

/** The figures of a shot as SVG: each look once, and where it is used. */
export interface FiguresSvg {
  readonly looks: readonly string[];
  readonly figures: readonly string[];
}

function figuresOf(travel: Travel, shot: Shot, first: FirstFrameNumber): (readonly [FigureOn, string])[] {
  const frames = shownExposures(travel.move, shot).map(({ frame }) => frame);
  const count = Math.min(MAX_FIGURES, frames.length);
  const chosen = Array.from(
    { length: count },
    (_, k) => frames[count > 1 ? Math.round((k * (frames.length - 1)) / (count - 1)) : 0]!,
  );
  return chosen
    .filter((frame) => travel.tracks.opacity[frame - 1]! > 0)
    .flatMap((frame) =>
      partsOn(travel, frame - 1).map((part): readonly [FigureOn, string] => [
        part,
        `${part.rider?.name ?? travel.figure.name}, frame ${frameNumber(frame, first)}`,
      ]),
    );
}

function seenFigures(shot: Shot, first: FirstFrameNumber): (readonly [FigureOn, string])[] {
  const { travels } = evaluate(shot);
  return shot.figures
    .filter(({ hidden }) => !hidden)
    .flatMap((figure) => {
      const riding = travels.filter((travel) => travel.figure.id === figure.id && !travel.arc.hidden);
      const waiting = shot.waiting.find(({ figureId }) => figureId === figure.id);
      const stands = waiting && waitingFigure(shot, waiting);
      return [
        ...riding.flatMap((travel) => figuresOf(travel, shot, first)),
        ...(stands ? [[stands, figure.name] as const] : []),
      ];
    });
}

/**
 * The figures of a shot as they are turned, sized and faded, in lines of one width whatever their size. Pictures are
 * shown by their outline: a shot names them, it does not hold them.
 */
export function figuresSvg(shot: Shot, first: FirstFrameNumber = 1): FiguresSvg {
  const ids = new Map<string, string>();
  const figures = seenFigures(shot, first).map(([{ look, placement, opacity }, title]) => {
    const id = ids.get(look.silhouette) ?? `look${ids.size + 1}`;
    ids.set(look.silhouette, id);
    const faded = opacity < 1 ? ` opacity="${written(opacity)}"` : '';
    return `<use href="#${id}" transform="${svgMatrix(placement)}"${faded}><title>${escapedXml(title)}</title></use>`;
  });
  const looks = [...ids].map(
    ([silhouette, id]) => `<path id="${id}" d="${silhouette}" vector-effect="non-scaling-stroke"/>`,
  );
  return { looks, figures };
}
