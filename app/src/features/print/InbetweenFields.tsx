import { type InbetweenOptions, PLAIN_REGISTER, type RegisterRow } from '@humble/core/print';
import { settingsChanged } from '../../store/settingsSlice';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { MILLIMETRES, lengthsFor } from '../../store/lengths';
import { NumberField, NumberPair } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Toggle } from '../../ui/Toggle';
import { printWords as words } from '../../words/print';

const KINDS = (['none', 'crosses', 'holes'] as const).map((value) => ({
  value,
  label: words.registers[value],
}));
const EDGES = (['top', 'bottom'] as const).map((value) => ({ value, label: words.edges[value] }));
const MM = lengthsFor(MILLIMETRES);
const FRESH_HEIGHT_MM = 150;

type Kept = ReturnType<typeof useSettings>['inbetweenSheets'];

/** What was typed last, as options; a value that makes no sense is the plain one. */
export function inbetweenOptionsOf(kept: Kept): InbetweenOptions {
  const number = (name: keyof RegisterRow): number =>
    typeof kept[name] === 'number' ? kept[name] : (PLAIN_REGISTER[name] as number);
  return {
    heightMm: typeof kept.heightMm === 'number' ? kept.heightMm : null,
    register: {
      kind: KINDS.find(({ value }) => value === kept.kind)?.value ?? PLAIN_REGISTER.kind,
      edge: EDGES.find(({ value }) => value === kept.edge)?.value ?? PLAIN_REGISTER.edge,
      apartMm: number('apartMm'),
      fromEdgeMm: number('fromEdgeMm'),
      middleMm: number('middleMm'),
      outerMm: number('outerMm'),
    },
  };
}

/** Size of the drawing on paper, and what lines the sheets up. */
export function InbetweenFields({ heightMm, register }: InbetweenOptions) {
  const dispatch = useAppDispatch();
  const kept = useSettings().inbetweenSheets;
  const set = (some: Kept): void => {
    dispatch(settingsChanged({ inbetweenSheets: { ...kept, ...some } }));
  };
  const mm = (label: string, name: keyof RegisterRow, least: number) =>
    MM.field({
      label,
      value: register[name] as number,
      min: least,
      max: 500,
      onChange: (value) => set({ [name]: value }),
    });
  return (
    <>
      <Toggle
        label={words.fitsPage}
        value={heightMm === null}
        onChange={(fits) => set({ heightMm: fits ? null : FRESH_HEIGHT_MM })}
      />
      {heightMm !== null && (
        <NumberField
          {...MM.field({
            label: words.drawingHeight,
            value: heightMm,
            min: 5,
            max: 2_000,
            onChange: (value) => set({ heightMm: value }),
          })}
        />
      )}
      <Segmented
        label={words.register}
        value={register.kind}
        options={KINDS}
        onChange={(kind) => set({ kind })}
      />
      {register.kind !== 'none' && (
        <>
          <Segmented
            label={words.edge}
            value={register.edge}
            options={EDGES}
            onChange={(edge) => set({ edge })}
          />
          <NumberPair pair={[mm(words.apart, 'apartMm', 10), mm(words.fromEdge, 'fromEdgeMm', 2)]} />
          {register.kind === 'holes' && (
            <NumberPair pair={[mm(words.middleHole, 'middleMm', 1), mm(words.outerHoles, 'outerMm', 1)]} />
          )}
        </>
      )}
    </>
  );
}
