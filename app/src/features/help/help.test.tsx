import { screen } from '@testing-library/react-native';
import { groupsOf } from '../../kinds/groups';
import { STEPS } from '../../kinds/steps';
import { benchWith, renderOn, straightShot } from '../../testing/bench';
import { KEYS } from '../../words/keys';
import { HelpDialog } from './HelpDialog';
import { ShortcutsDialog } from './ShortcutsDialog';

const nothing = (): void => undefined;

test.each(STEPS.map(({ name }) => name))('the help of the step %s names every group of its panel', (step) => {
  renderOn(
    benchWith(straightShot(), step),
    <HelpDialog onClose={nothing} onAllKeys={nothing} onGuide={nothing} onTryIt={nothing} />,
  );
  for (const { label, help } of groupsOf(step)) {
    expect(screen.getAllByText(label).length).toBeGreaterThan(0);
    expect(screen.getByText(`: ${help}`, { exact: false })).toBeTruthy();
  }
});

test('the card of all keys has every line of the table', () => {
  renderOn(benchWith(straightShot()), <ShortcutsDialog onClose={nothing} />);
  for (const { where, lines } of Object.values(KEYS)) {
    expect(screen.getByText(where)).toBeTruthy();
    for (const { does } of lines) expect(screen.getAllByText(does).length).toBeGreaterThan(0);
  }
});
