import { filmPace, type ShotPace } from '@humble/core/filmPace';
import Download from 'lucide-react-native/icons/download';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { type FilmShots, readPaces, type ReadPace, saveFilmPace } from '../../commands/filmPace';
import { Button } from '../../ui/Button';
import { LineGraph } from '../../ui/charts';
import { Dialog } from '../../ui/Dialog';
import { fixed } from '../../ui/numbers';
import { NumericText, Words } from '../../ui/Words';
import { filmPaceWords as words } from '../../words/filmPace';
import { frameNumber } from '../../store/frameNumbers';

const HEIGHT = 170;
/** Of a film so many values are drawn, each the largest of its time. */
const PARTS = 240;
const NO_SHOTS: readonly ReadPace[] = [];

interface FilmPaceProps {
  readonly name: string;
  readonly shots: FilmShots;
  readonly onClose: () => void;
}

export function FilmPaceDialog({ name, shots, onClose }: FilmPaceProps) {
  const [read, setRead] = useState(NO_SHOTS);
  const [asked] = useState(shots);
  useEffect(() => {
    const stop = new AbortController();
    void readPaces(asked, setRead, stop.signal);
    return () => stop.abort();
  }, [asked]);
  return (
    <Dialog title={words.title} isOpen onClose={onClose}>
      {read.length < asked.length ? (
        <Words role="status" tone="soft">
          {words.reading(read.length + 1, asked.length)}
        </Words>
      ) : (
        <Pace name={name} read={read} />
      )}
    </Dialog>
  );
}

const percent = (share: number): string => fixed(share * 100, 2);

function Pace({ name, read }: { readonly name: string; readonly read: readonly ReadPace[] }) {
  const paces = read.flatMap(({ pace }) => (pace ? [pace] : []));
  const film = filmPace(paces, PARTS);
  const quickest = film.paces.reduce((most, pace) => Math.max(most, pace), 0);
  return (
    <>
      {quickest === 0 && <Words tone="soft">{words.nothingTravels}</Words>}
      {quickest > 0 && (
        <>
          <Words tone="soft">{words.unit}</Words>
          <LineGraph
            label={words.chart(name, fixed(film.seconds, 1))}
            labels={film.paces.map((_, i) => `${fixed((i / PARTS) * film.seconds, 1)} s`)}
            values={film.paces.map((pace) => pace * 100)}
            borders={film.begins.slice(1).map((seconds) => seconds / film.seconds)}
            decimals={1}
            height={HEIGHT}
            fromZero
            testID="film-pace-chart"
          />
          <Words tone="soft">{words.whatItIs}</Words>
          <View className="flex-row">
            <Button label={words.saveAsCsv} icon={Download} onPress={() => void saveFilmPace(name, read)} />
          </View>
          <View role="table" aria-label={words.title}>
            <Line cells={[words.shot, words.average, words.quickest]} isHead />
            {read.map(({ id, name: shot, pace }) => pace && <ShotLine key={id} name={shot} pace={pace} />)}
          </View>
        </>
      )}
      {read.map(
        ({ id, name: shot, sentence }) =>
          sentence && (
            <Words key={id} role="alert" tone="plum">
              {words.leftOut(shot, sentence)}
            </Words>
          ),
      )}
    </>
  );
}

/** Slower than this share of the quickest it stands. */
const STANDS = 1e-6;

function ShotLine({ name, pace: { paces } }: { readonly name: string; readonly pace: ShotPace }) {
  const most = paces.reduce((best, pace, i) => (pace > paces[best]! ? i : best), 0);
  const moving = paces.filter((pace) => pace > STANDS * paces[most]!);
  const mean = moving.reduce((sum, pace) => sum + pace, 0) / moving.length;
  if (moving.length === 0) return <Line cells={[name, words.standsStill, '']} />;
  return <Line cells={[name, percent(mean), words.onFrame(percent(paces[most]!), frameNumber(most + 1))]} />;
}

interface LineProps {
  readonly cells: readonly [string, string, string];
  readonly isHead?: boolean;
}

const Line = ({ cells: [shot, average, quickest], isHead = false }: LineProps) => (
  <View role="row" className="min-h-[32px] flex-row items-center gap-2 border-b border-line">
    <View role={isHead ? 'columnheader' : 'cell'} className="min-w-0 flex-1">
      <Words numberOfLines={2} tone={isHead ? 'soft' : 'ink'}>
        {shot}
      </Words>
    </View>
    {[average, quickest].map((text, i) => (
      <View key={i} role={isHead ? 'columnheader' : 'cell'} className={i === 0 ? 'w-[84px]' : 'w-[104px]'}>
        <NumericText tone="soft" className="text-right">
          {text}
        </NumericText>
      </View>
    ))}
  </View>
);
