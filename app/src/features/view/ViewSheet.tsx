import { viewWords as words } from '../../words/view';
import X from 'lucide-react-native/icons/x';
import { ScrollView, View } from 'react-native';
import { useAppDispatch, useSession, useSettings } from '../../store/hooks';
import {
  MIN_GUIDE_STRENGTH,
  MAX_GHOSTS,
  MAX_GRID,
  PLAYBACK_SPEEDS,
  type Settings,
  settingsChanged,
  themeIn,
} from '../../store/settingsSlice';
import { useLengths } from '../../store/lengths';
import { sheetChosen } from '../../store/sessionSlice';
import { goTo } from '../../playback/playhead';
import { useThrottledShotValue } from '../../store/throttled/hooks';
import { Button, IconButton } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Slider } from '../../ui/Slider';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';

const THEMES = [
  { value: 'paper', label: words.paper },
  { value: 'lampout', label: words.lampOut },
] as const;

const SPEEDS = PLAYBACK_SPEEDS.map((value) => ({ value: value as number, label: words.speed(value) }));

const FIRST_FRAMES = [
  { value: 1, label: words.firstFrameOne },
  { value: 0, label: words.firstFrameZero },
] as const;

/**
 * What is shown in the field, and how strongly; the same for every shot, kept on this device. It stands beside or
 * under the field, so that what it changes is seen at once, and stays there until it is closed.
 */
export function ViewSheet() {
  const settings = useSettings();
  const { ghosts, showsGhosts } = settings;
  const step = useSession((session) => session.step);
  const dispatch = useAppDispatch();
  const { field: length } = useLengths();
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const change = (some: Partial<typeof settings>): void => {
    dispatch(settingsChanged(some));
  };
  return (
    <View role="region" aria-label={words.view} testID="view-sheet" className="min-h-0 flex-1 bg-card">
      <View className="flex-row items-center justify-between border-b border-line pl-4 pr-1">
        <Words role="heading" strong>
          {words.view}
        </Words>
        <IconButton label={words.closeTheViewSheet} icon={X} onPress={() => dispatch(sheetChosen(null))} />
      </View>
      <ScrollView contentContainerClassName="gap-2 px-4 pb-4 pt-2">
        <Toggle
          label={words.ghosts}
          value={showsGhosts}
          onChange={(value) => change({ showsGhosts: value })}
        />
        <NumberField
          label={words.ghostsBefore}
          value={ghosts.before}
          min={0}
          max={MAX_GHOSTS}
          disabled={!showsGhosts}
          onChange={(before) => change({ ghosts: { ...ghosts, before } })}
        />
        <NumberField
          label={words.ghostsAfter}
          value={ghosts.after}
          min={0}
          max={MAX_GHOSTS}
          disabled={!showsGhosts}
          onChange={(after) => change({ ghosts: { ...ghosts, after } })}
        />
        <NumberField
          label={words.oneEvery}
          unit={words.exposures}
          value={ghosts.every}
          min={1}
          max={24}
          disabled={!showsGhosts}
          onChange={(every) => change({ ghosts: { ...ghosts, every } })}
        />
        <Words tone="soft">{words.ghostsHelp}</Words>
        <Heading>{words.guides}</Heading>
        <Slider
          label={words.guideStrength}
          text={`${Math.round(settings.guideStrength * 100)}%`}
          value={settings.guideStrength}
          min={MIN_GUIDE_STRENGTH}
          max={1}
          onChange={(guideStrength) => change({ guideStrength })}
        />
        <Switches
          of={[
            [words.trailOfTicks, 'showsTrail'],
            [words.frameNumbers, 'showsNumbers'],
            [words.arrowsAlongTheArc, 'showsArrows'],
            [words.curvature, 'showsComb'],
            [words.safeMargins, 'showsMargins'],
            [words.grid, 'showsGrid'],
          ]}
        />
        <NumberField
          {...length({
            label: words.gridSquares,
            value: settings.gridSize,
            min: 1,
            max: MAX_GRID,
            onChange: (gridSize) => change({ gridSize }),
          })}
        />
        <Heading>{words.snapTo}</Heading>
        <Switches
          of={[
            [words.pointsAndCentre, 'snapsToPoints'],
            [words.gridDirections, 'snapsToLines'],
            [words.gridLines, 'snapsToGrid'],
          ]}
        />
        <Heading>{words.playback}</Heading>
        <Toggle label={words.loop} value={settings.loops} onChange={(loops) => change({ loops })} />
        <Segmented
          label={words.playback}
          value={settings.playbackSpeed}
          options={SPEEDS}
          onChange={(playbackSpeed) => change({ playbackSpeed })}
        />
        <View className="flex-row gap-2">
          <Button label={words.toFirstFrame} className="flex-1" onPress={() => goTo(1)} />
          <Button label={words.toLastFrame} className="flex-1" onPress={() => goTo(lengthFrames)} />
        </View>
        <Heading>{words.theme}</Heading>
        <Segmented
          label={words.theme}
          value={themeIn(settings, step)}
          options={THEMES}
          onChange={(value) => change(step === 'shoot' ? { shootTheme: value } : { theme: value })}
        />
        <Heading>{words.firstFrame}</Heading>
        <Segmented
          label={words.firstFrame}
          value={settings.firstFrame}
          options={FIRST_FRAMES}
          onChange={(value) => change({ firstFrame: value })}
        />
      </ScrollView>
    </View>
  );
}

const Heading = ({ children }: { readonly children: string }) => (
  <Words role="heading" strong className="mt-2">
    {children}
  </Words>
);

type Flag = { [Name in keyof Settings]: Settings[Name] extends boolean ? Name : never }[keyof Settings];

function Switches({ of }: { readonly of: readonly (readonly [label: string, flag: Flag])[] }) {
  const settings = useSettings();
  const dispatch = useAppDispatch();
  return (
    <View className="-mx-3 flex-row flex-wrap">
      {of.map(([label, flag]) => (
        <View key={flag} className="w-1/2 px-3">
          <Toggle
            label={label}
            value={settings[flag]}
            onChange={(value) => dispatch(settingsChanged({ [flag]: value }))}
          />
        </View>
      ))}
    </View>
  );
}
