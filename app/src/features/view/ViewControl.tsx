import Eye from 'lucide-react-native/icons/eye';
import { useState } from 'react';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { LEAST_GUIDE_STRENGTH, MOST_GHOSTS, MOST_GRID, settingsChanged } from '../../store/settingsSlice';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Slider } from '../../ui/Slider';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';

const THEMES = [
  { value: 'paper', label: 'Paper' },
  { value: 'lampout', label: 'Lamp out' },
] as const;

/** What is shown on the field; the same for every shot, kept on this device. */
export function ViewControl() {
  const [isOpen, setOpen] = useState(false);
  const settings = useSettings();
  const { ghosts, showsGhosts, showsTrail, showsNumbers, theme } = settings;
  const dispatch = useAppDispatch();
  const change = (some: Partial<typeof settings>): void => {
    dispatch(settingsChanged(some));
  };
  return (
    <>
      <Button label="View" icon={Eye} onPress={() => setOpen(true)} />
      <Dialog title="View" isOpen={isOpen} onClose={() => setOpen(false)}>
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
        <Toggle
          label="Trail of ticks"
          value={showsTrail}
          onChange={(value) => change({ showsTrail: value })}
        />
        <Toggle
          label="Frame numbers"
          value={showsNumbers}
          onChange={(value) => change({ showsNumbers: value })}
        />
        <Slider
          label="Guide strength"
          text={`${Math.round(settings.guideStrength * 100)}%`}
          value={settings.guideStrength}
          min={LEAST_GUIDE_STRENGTH}
          max={1}
          onChange={(guideStrength) => change({ guideStrength })}
        />
        <Toggle
          label="Arrows along the arc"
          value={settings.showsArrows}
          onChange={(value) => change({ showsArrows: value })}
        />
        <Toggle
          label="Curvature"
          value={settings.showsComb}
          onChange={(value) => change({ showsComb: value })}
        />
        <Toggle
          label="Safe margins"
          value={settings.showsMargins}
          onChange={(value) => change({ showsMargins: value })}
        />
        <Toggle label="Grid" value={settings.showsGrid} onChange={(value) => change({ showsGrid: value })} />
        <NumberField
          label="Grid squares"
          unit="units"
          value={settings.gridSize}
          min={1}
          max={MOST_GRID}
          onChange={(gridSize) => change({ gridSize })}
        />
        <Words role="heading" strong className="mt-2">
          Snap to
        </Words>
        <Toggle
          label="Points and centre"
          value={settings.snapsToPoints}
          onChange={(value) => change({ snapsToPoints: value })}
        />
        <Toggle
          label="Horizontals and verticals"
          value={settings.snapsToLines}
          onChange={(value) => change({ snapsToLines: value })}
        />
        <Toggle
          label="Grid lines"
          value={settings.snapsToGrid}
          onChange={(value) => change({ snapsToGrid: value })}
        />
        <Segmented
          label="Theme"
          value={theme}
          options={THEMES}
          onChange={(value) => change({ theme: value })}
        />
      </Dialog>
    </>
  );
}
