import { saveAs } from '../../commands/saveAs';
import { PREVIEW_FILES } from '../../commands/savedFiles';
import { errorSentence } from '../../store/errorSentence';
import type { Passage, Shot } from '@humble/core';
import { standingPictures } from '@humble/core/shoot';
import Download from 'lucide-react-native/icons/download';
import Share from 'lucide-react-native/icons/share';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { fileFormats } from '../../commands/fileFormats';
import { filmCommands } from '../../commands/filmCommands';
import { useAppDispatch } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { canShare, shareFile } from '../../ui/files';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField } from '../../ui/NumberField';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { previewWords as words } from '../../words/preview';
import {
  type MovingFormat,
  type OfferedFormat,
  probeFormats,
  renderAside,
  type Rendering,
  type StillKind,
} from '../../workers/preview';
import { pictureSource } from '../../persistence/pictures';
import { bitmapsOf } from '../../persistence/bitmaps';
import { labelOf, type Look } from './look';
import { rangeOf } from './RangeCard';
import { soundOf } from './soundOf';
import { useThrottledShot } from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

/** Those that every browser can write; video comes with a look at what this one can. */
const EVERYWHERE: readonly OfferedFormat[] = (['png', 'apng', 'gif'] as const).map((format) => ({
  format,
  hasSound: false,
}));
const STILLS: readonly StillKind[] = ['strobe', 'contact'];

const MIN_PERCENT = 25;
const MAX_PERCENT = 200;
/** No side of a picture is longer, pixels: browsers draw no larger ones. */
const MAX_SIDE = 8192;

interface Made {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly mimeType: string;
}

interface FilesCardProps {
  readonly look: Look;
  readonly passage: Passage | null;
}

export function FilesCard({ look, passage }: FilesCardProps) {
  const shot = useThrottledShot();
  const dispatch = useAppDispatch();
  const [asked, setAsked] = useState(100);
  const [loops, setLoops] = useState(true);
  const [withSound, setWithSound] = useState(true);
  const [every, setEvery] = useState(1);
  const [withTicks, setTicks] = useState(false);
  const [making, setMaking] = useState<{
    readonly rendering: Rendering | null;
    readonly done: number;
  } | null>(null);
  const [made, setMade] = useState<Made | null>(null);
  const longest = Math.max(shot.field.width, shot.field.height);
  const mostPercent = Math.min(MAX_PERCENT, Math.floor((MAX_SIDE / longest) * 100));
  const percent = Math.min(asked, mostPercent);
  const width = Math.round((shot.field.width * percent) / 100);
  const height = Math.round((shot.field.height * percent) / 100);
  const formats = useFormats(width, height);
  const sounding = formats.filter(({ hasSound }) => hasSound).map(({ format }) => words[format]);
  const { from, until } = rangeOf(shot, passage);
  // Whoever leaves gives up what is being made.
  const rendering = making?.rendering ?? null;
  useEffect(() => () => rendering?.cancel(), [rendering]);

  const make = async (kind: MovingFormat | StillKind): Promise<void> => {
    setMade(null);
    setMaking({ rendering: null, done: 0 });
    try {
      const images = await bitmapsOf((await fileFormats()).drawnPicturesOf(shot), width / shot.field.width);
      const { shows, ground, withBackdrop, outlines, hasCount, shutterDeg } = look;
      const labels = hasCount || kind === 'contact' ? labelsOf(shot, from, until, hasCount) : [];
      const job = {
        shot,
        width,
        from,
        until,
        ground,
        withBackdrop,
        outlines,
        shows,
        taken: shows === 'taken' ? takenSources(shot) : [],
        labels,
        images: [...images].map(([sha256, bitmap]) => ({ sha256, bitmap })),
      };
      const takesSound = withSound && formats.some(({ format, hasSound }) => format === kind && hasSound);
      const sound = takesSound ? await soundOf(shot, from, until) : null;
      if (sound === 'unreadable') {
        dispatch(messageShown(words.soundIsNotThere));
        return;
      }
      const begun =
        kind === 'strobe' || kind === 'contact'
          ? renderAside({ ...job, kind, every, withTicks }, () => undefined)
          : renderAside(
              { ...job, format: kind, shutterDeg, loops, sound, firstNumber: frameNumber(1) },
              (done) => setMaking((now) => now && { ...now, done }),
            );
      setMaking({ rendering: begun, done: 0 });
      const bytes = await begun.result;
      if (!bytes) return;
      const { name, mimeType } = saveAs(shot.name, PREVIEW_FILES[kind], bytes);
      setMade({ name, bytes, mimeType });
    } catch (error) {
      dispatch(messageShown(words.failed(errorSentence(error))));
    } finally {
      setMaking(null);
    }
  };

  const saveStrobeSvg = async (): Promise<void> => {
    try {
      const [{ strobeSvg, pictureSourceFrom }, { shotsToGive }] = await Promise.all([
        fileFormats(),
        filmCommands(),
      ]);
      const { ground, withBackdrop, outlines } = look;
      const { shots, files } = await shotsToGive([shot], 'pictures');
      const source = pictureSourceFrom(files);
      const choice = { every, withTicks, from, until, ground, withBackdrop, outlines, width, source };
      saveAs(shot.name, PREVIEW_FILES.strobeSvg, strobeSvg(shots[0]!, choice));
    } catch (error) {
      dispatch(messageShown(words.failed(errorSentence(error))));
    }
  };

  return (
    <Card title={words.saveIt}>
      <NumberField
        label={words.size}
        unit={words.percent}
        value={percent}
        min={MIN_PERCENT}
        max={mostPercent}
        step={25}
        onChange={setAsked}
      />
      <Words tone="soft">{words.pixels(width, height)}</Words>
      <Toggle label={words.loops} value={loops} onChange={setLoops} />
      {shot.sound && (
        <>
          <Toggle label={words.withSound} value={withSound} onChange={setWithSound} />
          <Words tone="soft">
            {sounding.length > 0 ? words.soundGoesInto(sounding.join(' and ')) : words.noSoundHere}
          </Words>
        </>
      )}
      {making ? (
        <View className="mt-2 flex-row items-center justify-between gap-2">
          <Words role="status">
            {making.rendering ? words.making(making.done, until - from + 1) : words.gettingPictures}
          </Words>
          <Button label={words.cancel} onPress={() => making.rendering?.cancel()} />
        </View>
      ) : (
        <>
          <Words tone="soft" className="mt-2">
            {words.formats}
          </Words>
          <View className="mb-2 flex-row flex-wrap gap-2">
            {formats.map(({ format }) => (
              <Button key={format} label={words[format]} icon={Download} onPress={() => void make(format)} />
            ))}
          </View>
          <NumberField
            label={words.every}
            unit={words.nth}
            value={every}
            min={1}
            max={shot.lengthFrames}
            onChange={setEvery}
          />
          <Toggle label={words.strobeTicks} value={withTicks} onChange={setTicks} />
          <View className="flex-row flex-wrap gap-2">
            {STILLS.map((kind) => (
              <Button key={kind} label={words[kind]} icon={Download} onPress={() => void make(kind)} />
            ))}
            <Button label={words.strobeSvg} icon={Download} onPress={() => void saveStrobeSvg()} />
          </View>
        </>
      )}
      {made && canShare(made.name, made.mimeType) && (
        <View className="mt-2 flex-row">
          <Button
            label={words.share}
            icon={Share}
            onPress={() => void shareFile(made.name, made.bytes, made.mimeType)}
          />
        </View>
      )}
    </Card>
  );
}

const takenSources = (shot: Shot) =>
  standingPictures(shot).map(({ picture: { sha256 } }) => ({ sha256, from: pictureSource(sha256) }));

const labelsOf = (shot: Shot, from: number, until: number, isWhole: boolean): readonly string[] =>
  Array.from({ length: until - from + 1 }, (_, i) =>
    isWhole ? labelOf(from + i, shot) : labelOf(from + i, shot).split(' ')[0]!,
  );

function useFormats(width: number, height: number): readonly OfferedFormat[] {
  const [videos, setVideos] = useState<readonly OfferedFormat[]>([]);
  useEffect(() => {
    let isWanted = true;
    void probeFormats(width, height).then((found) => isWanted && setVideos(found));
    return () => {
      isWanted = false;
    };
  }, [width, height]);
  return [...EVERYWHERE, ...videos];
}
