import { saveAs } from '../../commands/saveAs';
import { sheetFile } from '../../commands/savedFiles';
import { errorSentence } from '../../store/errorSentence';
import { type Shot, ShotError } from '@humble/core';
import {
  liesAcross,
  MANY_PAGES,
  pageSvg,
  PAPERS,
  type PaperName,
  type Printout,
  type PrintOptions,
  printPages,
  type SheetName,
  sheetsFor,
} from '@humble/core/print';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Printer from 'lucide-react-native/icons/printer';
import { useEffect, useMemo, useState } from 'react';
import { Image, View } from 'react-native';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button, IconButton } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { fontFiles } from '../../ui/fontFiles';
import { useLayout } from '../../ui/layout';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { printWords as words } from '../../words/print';
import { printAside } from '../../workers/print';
import { useThrottledShot } from '../../store/throttled/hooks';
import { InbetweenFields, inbetweenOptionsOf } from './InbetweenFields';
import { SavePictures } from './SavePictures';
import { firstFrameNumber, sentenceOfError } from '../../store/frameNumbers';

const NAMES_OF_PAPER = (Object.keys(PAPERS) as PaperName[]).map((value) => ({
  value,
  label: words.papers[value],
}));
const LIES = [
  { value: 'upright', label: words.upright },
  { value: 'across', label: words.across },
] as const;

/** The pages and how they lie, or the sentence that says why there are none. */
function printoutOf(shot: Shot, options: PrintOptions): { printout: Printout; across: boolean } | string {
  try {
    const across = liesAcross(shot, options);
    return { printout: printPages(shot, { ...options, across }), across };
  } catch (error) {
    if (error instanceof ShotError) return sentenceOfError(error);
    throw error;
  }
}

interface PrintDialogProps {
  /** The sheet that is shown first; without it the one that suits the shot. */
  readonly sheet?: SheetName;
  readonly onClose: () => void;
}

/** Sheets for the desk and the set, at true scale: seen before they are saved as a PDF. */
export function PrintDialog({ sheet, onClose }: PrintDialogProps) {
  const shot = useThrottledShot();
  const [chosen, setOptions] = useState<PrintOptions>({
    firstNumber: firstFrameNumber(),
    sheet: sheet ?? (shot.field.unitsPerMm === null ? 'ladder' : 'track'),
    paper: 'a4',
    across: null,
  });
  const typed = useSettings().inbetweenSheets;
  const options = useMemo(() => ({ ...chosen, inbetweens: inbetweenOptionsOf(typed) }), [chosen, typed]);
  const sheets = useMemo(
    () => sheetsFor(shot).map((value) => ({ value, label: words.sheets[value] })),
    [shot],
  );
  const [page, setPage] = useState(0);
  const laidOut = useMemo(() => printoutOf(shot, options), [shot, options]);
  const set = (some: Partial<PrintOptions>): void => {
    setPage(0);
    setOptions({ ...chosen, ...some });
  };
  const isAcross = typeof laidOut === 'string' ? options.across === true : laidOut.across;
  return (
    <Dialog title={words.print} isOpen onClose={onClose}>
      <Segmented
        label={words.sheet}
        value={options.sheet}
        options={sheets}
        // Each sheet lies the way that suits it, until it is told otherwise.
        onChange={(sheet) => set({ sheet, across: null })}
      />
      <Words tone="soft">{words.about[options.sheet]}</Words>
      <Segmented
        label={words.paper}
        value={options.paper}
        options={NAMES_OF_PAPER}
        onChange={(paper) => set({ paper })}
      />
      <Segmented
        label={words.lies}
        value={isAcross ? 'across' : 'upright'}
        options={LIES}
        onChange={(lies) => set({ across: lies === 'across' })}
      />
      {options.sheet === 'inbetweens' && <InbetweenFields {...options.inbetweens} />}
      {typeof laidOut === 'string' ? (
        <Words role="alert" tone="plum">
          {laidOut}
        </Words>
      ) : (
        <>
          <PagePreview
            printout={laidOut.printout}
            page={Math.min(page, laidOut.printout.count - 1)}
            onPage={setPage}
          />
          <Words tone="soft">{words.printAtFull}</Words>
          <SavePdf
            key={`${options.sheet} ${options.paper} ${isAcross}`}
            shot={shot}
            options={{ ...options, across: isAcross }}
            count={laidOut.printout.count}
          />
          {options.sheet === 'inbetweens' && <SavePictures shot={shot} />}
        </>
      )}
    </Dialog>
  );
}

interface SavePdfProps {
  readonly shot: Shot;
  readonly options: PrintOptions;
  readonly count: number;
}

interface Making {
  readonly stop: AbortController;
  readonly hasBegun: boolean;
  readonly done: number;
}

/** Makes the PDF: asks first where it is very long, tells how far it is, and can be cancelled. */
function SavePdf({ shot, options, count }: SavePdfProps) {
  const dispatch = useAppDispatch();
  const [isAsking, setAsking] = useState(false);
  const [making, setMaking] = useState<Making | null>(null);
  // Whoever leaves gives up what is being made.
  const stop = making?.stop;
  useEffect(() => () => stop?.abort(), [stop]);

  const save = async (): Promise<void> => {
    const asked = new AbortController();
    const tell = (now: Omit<Making, 'stop'>) =>
      setMaking((last) => (last?.stop === asked ? { ...now, stop: asked } : last));
    setAsking(false);
    setMaking({ stop: asked, hasBegun: false, done: 0 });
    try {
      const title = `${shot.name}: ${words.sheets[options.sheet]}`;
      const job = { shot, options, title, fonts: await fontFiles() };
      if (asked.signal.aborted) return;
      const begun = printAside(job, (done) => tell({ hasBegun: true, done }));
      asked.signal.addEventListener('abort', () => begun.cancel());
      tell({ hasBegun: true, done: 0 });
      const file = await begun.result;
      if (!file) return;
      saveAs(shot.name, sheetFile(options.sheet), file.bytes);
      if (file.note) dispatch(messageShown(file.note));
    } catch (error) {
      dispatch(messageShown(words.failed(errorSentence(error))));
    } finally {
      setMaking((last) => (last?.stop === asked ? null : last));
    }
  };

  if (making)
    return (
      <View className="flex-row items-center justify-between gap-2">
        <Words role="status">{making.hasBegun ? words.making(making.done, count) : words.gettingFonts}</Words>
        <Button
          label={words.cancel}
          onPress={() => {
            making.stop.abort();
            setMaking(null);
          }}
        />
      </View>
    );
  if (isAsking)
    return (
      <>
        <Words role="alert">{words.many(count)}</Words>
        <View className="flex-row flex-wrap gap-2">
          <Button label={words.makeAll(count)} icon={Printer} kind="brass" onPress={() => void save()} />
          <Button label={words.cancel} onPress={() => setAsking(false)} />
        </View>
      </>
    );
  return (
    <Button
      label={words.save}
      icon={Printer}
      kind="brass"
      onPress={() => (count > MANY_PAGES ? setAsking(true) : void save())}
    />
  );
}

interface PagePreviewProps {
  readonly printout: Printout;
  readonly page: number;
  readonly onPage: (page: number) => void;
}

/** Pixels that a page may take up. */
const MAX_HEIGHT = 300;

function PagePreview({ printout, page, onPage }: PagePreviewProps) {
  const { width } = useLayout();
  const shown = useMemo(() => printout.pageAt(page), [printout, page]);
  const svg = useMemo(() => pageSvg(shown), [shown]);
  const scale = Math.min(MAX_HEIGHT / shown.height, (Math.min(width, 420) - 48) / shown.width);
  return (
    <View className="items-center gap-1">
      <Image
        source={{ uri: `data:image/svg+xml,${encodeURIComponent(svg)}` }}
        accessibilityLabel={words.pagePicture(page + 1, printout.count)}
        testID="print-page"
        style={{ width: shown.width * scale, height: shown.height * scale, backgroundColor: '#FFFFFF' }}
      />
      {printout.count > 1 && (
        <View className="flex-row items-center gap-2">
          <IconButton
            label={words.before}
            icon={ChevronLeft}
            disabled={page === 0}
            onPress={() => onPage(page - 1)}
          />
          <Words tone="soft">{words.pageOf(page + 1, printout.count)}</Words>
          <IconButton
            label={words.after}
            icon={ChevronRight}
            disabled={page === printout.count - 1}
            onPress={() => onPage(page + 1)}
          />
        </View>
      )}
    </View>
  );
}
