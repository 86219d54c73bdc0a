import { errorSentence } from '../../store/errorSentence';
import { arcWords as words } from '../../words/arc';
import { pathData } from '@humble/core';
import {
  type DrawnPath,
  fittingTransform,
  importedPoints,
  readPathData,
  readSvgDrawing,
} from '@humble/core/svg';
import FileInput from 'lucide-react-native/icons/file-input';
import { useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { arcActivated } from '../../store/editorSlice';
import { goTo } from '../../playback/playhead';
import { Button } from '../../ui/Button';
import { colour } from '../../ui/colour';
import { Dialog } from '../../ui/Dialog';
import { pickFile } from '../../ui/files';
import { textOf } from '../../ui/textOf';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { useThrottledShotValue } from '../../store/throttled/hooks';

const PLACINGS = [
  { value: 'fitted', label: words.fitToTheField },
  { value: 'kept', label: words.keepItsPosition },
] as const;

const KEPT_IN_PLACE = { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };
/** So many paths are shown to choose from. */
const MAX_PATHS = 60;
/** So many arcs come in at once. */
const MAX_AT_ONCE = 20;

const pathsIn = (text: string): readonly DrawnPath[] =>
  text.trimStart().startsWith('<')
    ? readSvgDrawing(text)
    : readPathData(text).map((path, i) => ({ ...path, name: words.pathNumbered(i + 1) }));

/** Arcs from an SVG drawing or from path data. Anything that cannot be read is said, and nothing changes. */
export function BringInDialog({ onClose }: { readonly onClose: () => void }) {
  const [text, setText] = useState('');
  const [paths, setPaths] = useState<readonly DrawnPath[]>([]);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [placing, setPlacing] = useState<'fitted' | 'kept'>('fitted');
  const [fault, setFault] = useState<string | null>(null);
  const bringIn = useBringIn();

  const read = (from: string): void => {
    setText(from.length > MAX_SHOWN ? '' : from);
    setPaths([]);
    setChosen(new Set());
    setFault(null);
    if (from.trim() === '') return;
    try {
      const found = pathsIn(from);
      if (found.length === 0) setFault(words.noPathFound);
      setPaths(found.slice(0, MAX_PATHS));
      setChosen(new Set(found.length > 0 ? [0] : []));
    } catch (error) {
      setFault(errorSentence(error));
    }
  };
  const pick = async (): Promise<void> => {
    try {
      const file = await pickFile('.svg,image/svg+xml');
      if (file) read(textOf(file));
    } catch (error) {
      setFault(errorSentence(error));
    }
  };
  const toggle = (i: number): void => {
    const next = new Set(chosen);
    if (!next.delete(i) && next.size < MAX_AT_ONCE) next.add(i);
    setChosen(next);
  };
  const finish = (): void => {
    const wanted = paths.filter((_, i) => chosen.has(i));
    const failure = bringIn(wanted, placing);
    if (failure) setFault(failure);
    else onClose();
  };
  return (
    <Dialog title={words.importSVG} isOpen onClose={onClose}>
      <View className="flex-row">
        <Button label={words.openAFile} icon={FileInput} onPress={() => void pick()} />
      </View>
      <Words tone="soft">{words.pathDataLabel}</Words>
      <TextInput
        aria-label={words.svgOrPathData}
        value={text}
        onChangeText={read}
        multiline
        numberOfLines={3}
        placeholder="M 100 400 C 300 100, 700 100, 900 400"
        className="h-[76px] rounded-large border border-line bg-ground p-3 font-mono text-small text-ink"
      />
      {fault !== null && (
        <Words role="alert" tone="plum">
          {fault}
        </Words>
      )}
      {paths.length > 0 && (
        <>
          <PathChoice paths={paths} chosen={chosen} onToggle={toggle} />
          <Segmented label={words.whereItGoes} value={placing} options={PLACINGS} onChange={setPlacing} />
        </>
      )}
      <Button
        label={chosen.size > 1 ? words.importArcs(chosen.size) : words.importIt}
        kind="brass"
        disabled={chosen.size === 0}
        onPress={finish}
      />
    </Dialog>
  );
}

/** Longer texts are read, but not shown for editing. */
const MAX_SHOWN = 20_000;

function useBringIn(): (paths: readonly DrawnPath[], placing: 'fitted' | 'kept') => string | null {
  const field = useThrottledShotValue((shot) => shot.field);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  return (paths, placing) => {
    try {
      const transform = placing === 'fitted' ? fittingTransform(paths, field) : KEPT_IN_PLACE;
      const arcs = paths.map((path) => ({
        name: path.name,
        points: importedPoints(path, transform),
        closed: path.closed,
      }));
      // The first of them carries the figure.
      const first = edit('drawArcs', { arcs })?.made().arcs[0];
      if (!first) return null;
      dispatch(arcActivated(first));
      goTo(1);
      return null;
    } catch (error) {
      return errorSentence(error);
    }
  };
}

interface PathChoiceProps {
  readonly paths: readonly DrawnPath[];
  readonly chosen: ReadonlySet<number>;
  readonly onToggle: (index: number) => void;
}

const PICTURE = { width: 72, height: 56 };

function PathChoice({ paths, chosen, onToggle }: PathChoiceProps) {
  return (
    <View className="flex-row flex-wrap gap-2" role="group" aria-label={words.pathsInTheDrawing}>
      {paths.map((path, i) => (
        <Pressable
          key={i}
          role="checkbox"
          aria-checked={chosen.has(i)}
          aria-label={path.name}
          onPress={() => onToggle(i)}
          className={`w-[88px] items-center rounded-large border p-1 ${chosen.has(i) ? 'border-brass bg-brasswash' : 'border-line bg-ground'}`}
        >
          <Svg width={PICTURE.width} height={PICTURE.height}>
            <Path d={pictureOf(path)} fill="none" stroke={colour.indigo} strokeWidth={1.5} />
          </Svg>
          <Words size="tiny" numberOfLines={1}>
            {path.name}
          </Words>
        </Pressable>
      ))}
    </View>
  );
}

function pictureOf(path: DrawnPath): string {
  try {
    return pathData({
      points: importedPoints(path, fittingTransform([path], PICTURE)),
      closed: path.closed,
    });
  } catch {
    return '';
  }
}
