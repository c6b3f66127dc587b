import { MeasureInput } from '../ui/MeasureInput';
import { isUnit, unitSign } from '../text/units';
import type { InputHTMLAttributes } from 'react';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange' | 'value'> {
  name: string;
  value?: string;
  /** A metric unit, which gives way to the reader's, or another word behind the name. */
  unit?: string;
  fault: string | undefined;
  change: (value: string) => void;
}

/** A labelled field; what is wrong with it stands under it. */
export function Field({ name, unit, value = '', fault, change, className = '', ...rest }: Props) {
  const measure = isUnit(unit) ? unit : undefined;
  return (
    <label className={`block text-[13px] text-muted ${className}`}>
      {name}
      {unit ? `, ${measure ? unitSign(measure) : unit}` : ''}
      <MeasureInput
        {...rest}
        value={value}
        unit={measure}
        change={change}
        aria-invalid={fault !== undefined}
        className={`mt-0.5 block min-h-9 w-full rounded-sm border bg-paper px-2 text-[15px] text-ink ${fault ? 'border-2 border-lichen' : 'border-muted/45'}`}
      />
      {fault && (
        <span role="alert" className="mt-0.5 block text-[12.5px] font-semibold text-lichen">
          {fault}
        </span>
      )}
    </label>
  );
}

/** A labelled choice. */
export function Choice({
  name,
  value,
  options,
  fault,
  change,
  className = '',
}: {
  name: string;
  value: string;
  options: { id: string; name: string }[];
  fault: string | undefined;
  change: (value: string) => void;
  className?: string;
}) {
  return (
    <label className={`block text-[13px] text-muted ${className}`}>
      {name}
      <select
        value={value}
        aria-invalid={fault !== undefined}
        onChange={(event) => {
          change(event.target.value);
        }}
        className={`mt-0.5 block min-h-9 w-full rounded-sm border bg-paper px-1.5 text-[15px] text-ink ${fault ? 'border-2 border-lichen' : 'border-muted/45'}`}
      >
        {options.map((option) => (
          <option key={option.id} value={option.id}>
            {option.name}
          </option>
        ))}
      </select>
      {fault && (
        <span role="alert" className="mt-0.5 block text-[12.5px] font-semibold text-lichen">
          {fault}
        </span>
      )}
    </label>
  );
}
