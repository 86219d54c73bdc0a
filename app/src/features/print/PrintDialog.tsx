import { fileStem, type Shot, ShotError } from '@humble/core';
import {
  pageSvg,
  PAPERS,
  type PaperName,
  type PrintOptions,
  type PrintPage,
  printPages,
  SHEET_NAMES,
} from '@humble/core/print';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Printer from 'lucide-react-native/icons/printer';
import { useMemo, useState } from 'react';
import { Image, View } from 'react-native';
import { useAppDispatch, useThrottledShot } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button, IconButton } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { saveFile } from '../../ui/files';
import { fontFiles } from '../../ui/fontFiles';
import { useLayout } from '../../ui/layout';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { printWords as words } from '../../words/print';

const SHEETS = SHEET_NAMES.map((value) => ({ value, label: words.sheets[value] }));
const NAMES_OF_PAPER = (Object.keys(PAPERS) as PaperName[]).map((value) => ({
  value,
  label: words.papers[value],
}));
const LIES = [
  { value: 'upright', label: words.upright },
  { value: 'across', label: words.across },
] as const;

/** The pages, or the sentence that says why there are none. */
function pagesOf(shot: Shot, options: PrintOptions): readonly PrintPage[] | string {
  try {
    return printPages(shot, options);
  } catch (error) {
    if (error instanceof ShotError) return error.message;
    throw error;
  }
}

/** Sheets for the desk and the set, at true scale: seen before they are saved as a PDF. */
export function PrintDialog({ onClose }: { readonly onClose: () => void }) {
  const shot = useThrottledShot();
  const dispatch = useAppDispatch();
  const [options, setOptions] = useState<PrintOptions>({
    sheet: shot.field.unitsPerMm === null ? 'ladder' : 'track',
    paper: 'a4',
    across: false,
  });
  const [page, setPage] = useState(0);
  const [isMaking, setMaking] = useState(false);
  const pages = useMemo(() => pagesOf(shot, options), [shot, options]);
  const set = (some: Partial<PrintOptions>): void => {
    setPage(0);
    setOptions({ ...options, ...some });
  };
  const save = async (): Promise<void> => {
    if (typeof pages === 'string') return;
    setMaking(true);
    try {
      // The package that writes PDFs is large, and comes when it is asked for.
      const [{ writePdf }, fonts] = await Promise.all([import('@humble/core/print/pdf'), fontFiles()]);
      const title = `${shot.name}: ${words.sheets[options.sheet]}`;
      const name = `${fileStem(shot.name)}-${options.sheet}.pdf`;
      saveFile(name, await writePdf(pages, title, fonts), 'application/pdf');
    } catch (error) {
      dispatch(messageShown((error as Error).message));
    } finally {
      setMaking(false);
    }
  };
  return (
    <Dialog title={words.print} isOpen onClose={onClose}>
      <Segmented
        label={words.sheet}
        value={options.sheet}
        options={SHEETS}
        onChange={(sheet) => set({ sheet })}
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
        value={options.across ? 'across' : 'upright'}
        options={LIES}
        onChange={(lies) => set({ across: lies === 'across' })}
      />
      {typeof pages === 'string' ? (
        <Words role="alert" tone="plum">
          {pages}
        </Words>
      ) : (
        <>
          <PagePreview pages={pages} page={Math.min(page, pages.length - 1)} onPage={setPage} />
          <Words tone="soft">{words.printAtFull}</Words>
          <Button
            label={isMaking ? words.making : words.save}
            icon={Printer}
            kind="brass"
            disabled={isMaking}
            onPress={() => void save()}
          />
        </>
      )}
    </Dialog>
  );
}

interface PagePreviewProps {
  readonly pages: readonly PrintPage[];
  readonly page: number;
  readonly onPage: (page: number) => void;
}

/** Pixels that a page may take up. */
const MOST_HEIGHT = 300;

/** A page as it is printed, and the way to the others. */
function PagePreview({ pages, page, onPage }: PagePreviewProps) {
  const { width } = useLayout();
  const shown = pages[page]!;
  const svg = useMemo(() => pageSvg(shown), [shown]);
  const scale = Math.min(MOST_HEIGHT / shown.height, (Math.min(width, 420) - 48) / shown.width);
  return (
    <View className="items-center gap-1">
      <Image
        source={{ uri: `data:image/svg+xml,${encodeURIComponent(svg)}` }}
        accessibilityLabel={words.pagePicture(page + 1, pages.length)}
        testID="print-page"
        style={{ width: shown.width * scale, height: shown.height * scale, backgroundColor: '#FFFFFF' }}
      />
      {pages.length > 1 && (
        <View className="flex-row items-center gap-2">
          <IconButton
            label={words.before}
            icon={ChevronLeft}
            disabled={page === 0}
            onPress={() => onPage(page - 1)}
          />
          <Words tone="soft">{words.pageOf(page + 1, pages.length)}</Words>
          <IconButton
            label={words.after}
            icon={ChevronRight}
            disabled={page === pages.length - 1}
            onPress={() => onPage(page + 1)}
          />
        </View>
      )}
    </View>
  );
}
