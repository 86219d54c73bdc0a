import type { Passage } from '@humble/core';
import { drawnThroughSpans } from '@humble/core/views';
import { standingPictures } from '@humble/core/shoot';
import { useThrottledShotValue } from '../../store/throttled/hooks';
import { Card } from '../../ui/Card';
import { Segmented } from '../../ui/Segmented';
import { Slider } from '../../ui/Slider';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { previewWords as words } from '../../words/preview';
import { FilesCard } from './FilesCard';
import type { Look } from './look';
import { RangeCard } from './RangeCard';

const SHOWN = [
  { value: 'taken', label: words.taken },
  { value: 'plan', label: words.plan },
] as const;

const GROUNDS = [
  { value: 'paper', label: words.paper },
  { value: 'black', label: words.black },
  { value: 'transparent', label: words.transparent },
] as const;

interface SavePanelProps {
  readonly look: Look;
  readonly onLook: (look: Look) => void;
  readonly passage: Passage | null;
}

export function SavePanel({ look, onLook, passage }: SavePanelProps) {
  const hasPictures = useThrottledShotValue((shot) => standingPictures(shot).length > 0);
  const isDrawnThrough = useThrottledShotValue(({ moves }) =>
    moves.some((move) => drawnThroughSpans(move).length > 0),
  );
  const set = (some: Partial<Look>): void => onLook({ ...look, ...some });
  return (
    <>
      <RangeCard passage={passage} />
      <Card title={words.look}>
        {hasPictures && (
          <Segmented
            label={words.shows}
            value={look.shows}
            options={SHOWN}
            onChange={(shows) => set({ shows })}
          />
        )}
        <Words tone="soft">{words.ground}</Words>
        <Segmented
          label={words.ground}
          value={look.ground}
          options={GROUNDS}
          onChange={(ground) => set({ ground })}
        />
        <Toggle
          label={words.backdrop}
          value={look.withBackdrop}
          onChange={(withBackdrop) => set({ withBackdrop })}
        />
        {isDrawnThrough && (
          <Toggle label={words.outlines} value={look.outlines} onChange={(outlines) => set({ outlines })} />
        )}
        <Toggle label={words.count} value={look.hasCount} onChange={(hasCount) => set({ hasCount })} />
        <Slider
          label={words.blur}
          text={`${look.shutterDeg}${words.degrees}`}
          value={look.shutterDeg}
          min={0}
          max={360}
          step={10}
          onChange={(deg) => set({ shutterDeg: Math.round(deg) })}
        />
        <Words tone="soft">{words.blurNote}</Words>
      </Card>
      <FilesCard look={look} passage={passage} />
    </>
  );
}
