import type { InputHTMLAttributes } from 'react';
import type { Unit } from '../text/units';
import { useMeasure } from './useMeasure';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange' | 'value'> {
  /** The figure as the form holds it: metric, as text. */
  value: string;
  unit: Unit | undefined;
  change: (metric: string) => void;
}

/** A field for a figure of a form, shown and typed in the reader's units. */
export function MeasureInput({ value, unit, change, ...rest }: Props) {
  const [shown, type] = useMeasure(value, unit, change);
  return (
    <input
      {...rest}
      value={shown}
      onChange={(event) => {
        type(event.target.value);
      }}
    />
  );
}
