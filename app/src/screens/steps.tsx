import type { LucideIcon } from 'lucide-react-native';
import PersonStanding from 'lucide-react-native/icons/person-standing';
import Rows from 'lucide-react-native/icons/rows-3';
import Spline from 'lucide-react-native/icons/spline';
import Timer from 'lucide-react-native/icons/timer';
import { Pressable, View } from 'react-native';
import { useAppDispatch, useSession } from '../state/hooks';
import type { Step } from '../state/sessionSlice';
import { goToStep } from '../state/goToStep';
import { colour } from '../ui/colour';
import { Words } from '../ui/Words';

export const STEPS: readonly { readonly step: Step; readonly label: string; readonly icon: LucideIcon }[] = [
  { step: 'arc', label: 'Arc', icon: Spline },
  { step: 'figure', label: 'Figure', icon: PersonStanding },
  { step: 'timing', label: 'Timing', icon: Timer },
  { step: 'sheet', label: 'Sheet', icon: Rows },
];

/** The steps of the work: along the bottom on a phone, a slim rail on the left of a wide screen. */
export function StepBar({ isWide }: { readonly isWide: boolean }) {
  const current = useSession((session) => session.step);
  const dispatch = useAppDispatch();
  return (
    <View
      role="tablist"
      aria-label="Steps"
      className={
        isWide
          ? 'w-[84px] border-r border-line bg-card pt-2'
          : 'h-[60px] flex-row border-t border-line bg-card'
      }
    >
      {STEPS.map(({ step, label, icon: Icon }) => {
        const isCurrent = step === current;
        const edge = isWide ? 'border-l-[3px] h-[76px]' : 'border-t-[3px] flex-1';
        return (
          <Pressable
            key={step}
            role="tab"
            aria-selected={isCurrent}
            aria-label={label}
            onPress={() => dispatch(goToStep(step))}
            className={`items-center justify-center gap-[2px] ${edge} ${isCurrent ? 'border-brass' : 'border-transparent'}`}
          >
            <Icon size={24} strokeWidth={1.75} color={isCurrent ? colour.brass : colour.soft} />
            <Words tone={isCurrent ? 'brass' : 'soft'} strong={isCurrent}>
              {label}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
