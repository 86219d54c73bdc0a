import { Field } from '../features/field/Field';
import { useSession } from '../store/hooks';
import { STEP_PARTS } from './steps';

/** The field with what the step lays under it and over it. */
export function BenchField({ isStrip = false }: { readonly isStrip?: boolean }) {
  const step = useSession((session) => session.step);
  return <Field isStrip={isStrip} layers={STEP_PARTS[step].layers} />;
}
