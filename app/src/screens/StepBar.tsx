import { benchWords as words } from '../words/bench';
import { Pressable, View } from 'react-native';
import { goToStep } from '../commands/goToStep';
import { STEPS } from '../kinds/steps';
import { useAppDispatch, useSession } from '../store/hooks';
import { colour } from '../ui/colour';
import type { Layout } from '../ui/layout';
import { Words } from '../ui/Words';

export function StepBar({ layout }: { readonly layout: Layout }) {
  const current = useSession((session) => session.step);
  const dispatch = useAppDispatch();
  return (
    <View
      role="tablist"
      aria-label={words.steps}
      className={
        {
          phone: 'min-h-[56px] flex-row border-t border-line bg-card',
          side: 'w-[64px] border-l border-line bg-card',
          wide: 'w-[84px] border-r border-line bg-card pt-2',
        }[layout]
      }
    >
      {STEPS.map(({ name, label, icon: Icon }) => {
        const isCurrent = name === current;
        const edge = {
          phone: 'border-t-[3px] flex-1',
          side: 'border-r-[3px] flex-1',
          wide: 'border-l-[3px] h-[76px]',
        }[layout];
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
