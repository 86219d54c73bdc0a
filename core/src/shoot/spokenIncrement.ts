import type { NextOfFigure, NextPlacement } from './nextPlacement';

const UNITS = { mm: ['millimetre', 'millimetres'], field: ['unit', 'units'] } as const;

/** As it is said: at most two decimals, none that say nothing. */
const said = (value: number): string => String(Number(Math.abs(value).toFixed(2)));

function length(value: number, units: NextPlacement['units']): string {
  const number = said(value);
  return `${number} ${UNITS[units][number === '1' ? 0 : 1]}`;
}

const isNone = (value: number | null): boolean => value === null || said(value) === '0';

function turn(turnDeg: number): string {
  const number = said(turnDeg);
  return `turn ${number} ${number === '1' ? 'degree' : 'degrees'} ${turnDeg > 0 ? 'clockwise' : 'anticlockwise'}`;
}

function acrossAndDown({ right, down }: NextOfFigure): readonly string[] {
  return [
    ...(isNone(right) ? [] : [`${said(right!)} ${right! > 0 ? 'right' : 'left'}`]),
    ...(isNone(down) ? [] : [`${said(down!)} ${down! > 0 ? 'down' : 'up'}`]),
  ];
}

function figureSaid(figure: NextOfFigure, units: NextPlacement['units']): string {
  const parts: string[] = [];
  if (figure.along === null) parts.push('put it at the start');
  else if (!isNone(figure.along))
    parts.push(`${figure.along < 0 ? 'back ' : ''}${length(figure.along, units)} along`);
  parts.push(...acrossAndDown(figure));
  if (!isNone(figure.turnDeg)) parts.push(turn(figure.turnDeg!));
  if (figure.drawing !== null) parts.push(`drawing ${figure.drawing}`);
  return parts.length === 0 ? 'stays' : parts.join(', ');
}

/**
 * The next placement as it is spoken aloud, in whole sentences: “4.5 millimetres along, 4.4 right, 0.8 down, turn 2
 * degrees clockwise.” With several figures each is named first.
 */
export function spokenIncrement({ figures, units }: NextPlacement): string {
  if (figures.length === 0) return 'Place the next picture.';
  const sentences = figures.map((figure) => {
    const words = figureSaid(figure, units);
    const text = figures.length > 1 ? `${figure.name}: ${words}` : words;
    return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
  });
  return sentences.join(' ');
}
