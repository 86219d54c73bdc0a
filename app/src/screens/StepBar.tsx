import { Pressable, View } from 'react-native';
import { goToStep } from '../commands/goToStep';
import { STEPS } from '../kinds/steps';
import { useAppDispatch, useSession } from '../store/hooks';
import { colour } from '../ui/colour';
import { Words } from '../ui/Words';

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
      {STEPS.map(({ name, label, icon: Icon }) => {
        const isCurrent = name === current;
        const edge = isWide ? 'border-l-[3px] h-[76px]' : 'border-t-[3px] flex-1';
        return (
          <Pressable
            key={name}
            role="tab"
            aria-selected={isCurrent}
            aria-label={label}
            onPress={() => dispatch(goToStep(name))}
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
