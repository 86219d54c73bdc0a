import X from 'lucide-react-native/icons/x';
import { ScrollView, View } from 'react-native';
import { useAppDispatch, useSettings } from '../../store/hooks';
import {
  LEAST_GUIDE_STRENGTH,
  MOST_GHOSTS,
  MOST_GRID,
  type Settings,
  settingsChanged,
} from '../../store/settingsSlice';
import { useLengths } from '../../store/lengths';
import { viewSheetSet } from '../../store/sessionSlice';
import { IconButton } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Slider } from '../../ui/Slider';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';

const THEMES = [
  { value: 'paper', label: 'Paper' },
  { value: 'lampout', label: 'Lamp out' },
] as const;

const FIRST_FRAMES = [
  { value: 1, label: 'Frame 1' },
  { value: 0, label: 'Frame 0' },
] as const;

/**
 * What is shown in the field, and how strongly; the same for every shot, kept on this device. It stands beside or
 * under the field, so that what it changes is seen at once, and stays there until it is closed.
 */
export function ViewSheet() {
  const settings = useSettings();
  const { ghosts, showsGhosts, theme } = settings;
  const dispatch = useAppDispatch();
  const { field: length } = useLengths();
  const change = (some: Partial<typeof settings>): void => {
    dispatch(settingsChanged(some));
  };
  return (
    <View role="region" aria-label="View" testID="view-sheet" className="min-h-0 flex-1 bg-card">
      <View className="flex-row items-center justify-between border-b border-line pl-4 pr-1">
        <Words role="heading" strong>
          View
        </Words>
        <IconButton label="Close the view sheet" icon={X} onPress={() => dispatch(viewSheetSet(false))} />
      </View>
      <ScrollView contentContainerClassName="gap-2 px-4 pb-4 pt-2">
        <Toggle label="Ghosts" value={showsGhosts} onChange={(value) => change({ showsGhosts: value })} />
        <NumberField
          label="Ghosts before"
          value={ghosts.before}
          min={0}
          max={MOST_GHOSTS}
          disabled={!showsGhosts}
          onChange={(before) => change({ ghosts: { ...ghosts, before } })}
        />
        <NumberField
          label="Ghosts after"
          value={ghosts.after}
          min={0}
          max={MOST_GHOSTS}
          disabled={!showsGhosts}
          onChange={(after) => change({ ghosts: { ...ghosts, after } })}
        />
        <NumberField
          label="One every"
          unit="exposures"
          value={ghosts.every}
          min={1}
          max={24}
          disabled={!showsGhosts}
          onChange={(every) => change({ ghosts: { ...ghosts, every } })}
        />
        <Words tone="soft">Before: cool outlines. After: warm fills. Hidden while the shot plays.</Words>
        <Heading>Guides</Heading>
        <Slider
          label="Guide strength"
          text={`${Math.round(settings.guideStrength * 100)}%`}
          value={settings.guideStrength}
          min={LEAST_GUIDE_STRENGTH}
          max={1}
          onChange={(guideStrength) => change({ guideStrength })}
        />
        <Switches
          of={[
            ['Trail of ticks', 'showsTrail'],
            ['Frame numbers', 'showsNumbers'],
            ['Arrows along the arc', 'showsArrows'],
            ['Curvature', 'showsComb'],
            ['Safe margins', 'showsMargins'],
            ['Grid', 'showsGrid'],
          ]}
        />
        <NumberField
          {...length({
            label: 'Grid squares',
            value: settings.gridSize,
            min: 1,
            max: MOST_GRID,
            onChange: (gridSize) => change({ gridSize }),
          })}
        />
        <Heading>Snap to</Heading>
        <Switches
          of={[
            ['Points and centre', 'snapsToPoints'],
            ['Horizontals and verticals', 'snapsToLines'],
            ['Grid lines', 'snapsToGrid'],
          ]}
        />
        <Heading>Theme</Heading>
        <Segmented
          label="Theme"
          value={theme}
          options={THEMES}
          onChange={(value) => change({ theme: value })}
        />
        <Heading>First frame</Heading>
        <Segmented
          label="First frame"
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

/** A setting that is on or off. */
type Flag = { [Name in keyof Settings]: Settings[Name] extends boolean ? Name : never }[keyof Settings];

/** Switches in two columns. */
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
