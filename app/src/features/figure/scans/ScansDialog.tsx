import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, IconButton } from '../../../ui/Button';
import { Dialog } from '../../../ui/Dialog';
import { Slider } from '../../../ui/Slider';
import { Words } from '../../../ui/Words';
import { scansWords as words } from '../../../words/scans';
import { SheetPicture, type SheetTask } from './SheetPicture';
import { MARKS, useSheets } from './useSheets';

interface ScansDialogProps {
  readonly files: readonly File[];
  readonly figureId: string;
  readonly onClose: () => void;
}

/** White and black keep so far from each other. */
const LEAST_CONTRAST = 8;

/** Drawings on paper become drawings with clear ground: seen, corrected, and used. */
export function ScansDialog({ files, figureId, onClose }: ScansDialogProps) {
  const { desk, sheets, levels, setLevels, working, change, straighten, use, cancel } = useSheets(
    files,
    figureId,
    onClose,
  );
  const [index, setIndex] = useState(0);
  const [task, setTask] = useState<SheetTask>('look');
  const sheet = sheets[index];
  const go = (to: number): void => {
    setIndex(to);
    setTask('look');
  };
  return (
    <Dialog title={words.title} isOpen onClose={onClose}>
      {sheet && desk && (
        <SheetPicture
          key={`${index} ${sheet.width} ${sheet.height}`}
          desk={desk}
          index={index}
          sheet={sheet}
          levels={levels}
          task={task}
          onMarks={(marks) => change(index, { ...sheet, marks, isComplete: marks.length === MARKS })}
          onCorners={async (corners) => {
            if (await straighten(index, corners)) setTask('look');
          }}
        />
      )}
      {sheets.length > 1 && (
        <View className="flex-row items-center justify-center gap-2">
          <IconButton
            label={words.previous}
            icon={ChevronLeft}
            disabled={index === 0}
            onPress={() => go(index - 1)}
          />
          <Words tone="soft">{words.sheet(index + 1, sheets.length)}</Words>
          <IconButton
            label={words.next}
            icon={ChevronRight}
            disabled={index === sheets.length - 1}
            onPress={() => go(index + 1)}
          />
        </View>
      )}
      {sheet && (
        <>
          <Register sheets={sheets} isTapping={task === 'marks'} marks={sheet.marks.length} />
          <View className="flex-row flex-wrap gap-2">
            {sheets.length > 1 && (
              <Button
                label={words.tapMarks}
                pressed={task === 'marks'}
                onPress={() => setTask(task === 'marks' ? 'look' : 'marks')}
              />
            )}
            <Button
              label={words.corners}
              pressed={task === 'corners'}
              onPress={() => setTask(task === 'corners' ? 'look' : 'corners')}
            />
          </View>
          <Slider
            label={words.white}
            text={words.level(levels.white)}
            value={levels.white}
            min={LEAST_CONTRAST}
            max={255}
            step={1}
            onChange={(white) => setLevels({ white, black: Math.min(levels.black, white - LEAST_CONTRAST) })}
          />
          <Slider
            label={words.black}
            text={words.level(levels.black)}
            value={levels.black}
            min={0}
            max={255 - LEAST_CONTRAST}
            step={1}
            onChange={(black) => setLevels({ black, white: Math.max(levels.white, black + LEAST_CONTRAST) })}
          />
        </>
      )}
      {working ? (
        <View className="flex-row items-center justify-between gap-2">
          <Words role="status" className="min-w-0 shrink" numberOfLines={2}>
            {working}
          </Words>
          <Button label={words.cancel} onPress={cancel} />
        </View>
      ) : (
        sheet && <Button label={words.use(sheets.length)} kind="brass" onPress={() => void use()} />
      )}
    </Dialog>
  );
}

interface RegisterProps {
  readonly sheets: ReturnType<typeof useSheets>['sheets'];
  readonly isTapping: boolean;
  readonly marks: number;
}

/** Whether several sheets are lined up, and what lacks where they are not. */
function Register({ sheets, isTapping, marks }: RegisterProps) {
  if (isTapping) return <Words role="status">{words.marksTapped(marks)}</Words>;
  if (sheets.length < 2) return null;
  const lacking = sheets.flatMap(({ marks: found }, i) => (found.length === MARKS ? [] : [i + 1]));
  if (lacking.length === 0)
    return (
      <Words role="status" tone="soft">
        {words.found}
      </Words>
    );
  const sentence =
    lacking.length === sheets.length ? words.noMarks : words.notFound(words.sheetNamed(lacking));
  return (
    <Words role="status" tone="plum">
      {sentence}
    </Words>
  );
}
