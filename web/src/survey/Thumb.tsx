import { MeasureInput } from '../ui/MeasureInput';
import { isUnit, unitSign } from '../text/units';
import { useSay } from '../text/say';
import type { ButtonHTMLAttributes } from 'react';
import { showNumber, typedNumber } from '../ui/numbers';

/** A button for a thumb in a glove. */
export function Big({
  chosen = false,
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { chosen?: boolean }) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className={`min-h-12 rounded-md border px-3 text-[17px] font-semibold disabled:opacity-40 ${
        chosen ? 'border-ink bg-ink text-paper' : 'border-muted/50 bg-paper hover:bg-sand'
      } ${className}`}
      {...rest}
    />
  );
}

/** A number with a thumb's step down and up, that can be typed too. */
export function Stepper({
  name,
  unit,
  value,
  step,
  fault,
  change,
}: {
  name: string;
  unit: string;
  value: string;
  step: number;
  fault?: string | undefined;
  change: (value: string) => void;
}) {
  const say = useSay();
  const measure = isUnit(unit) ? unit : undefined;
  const by = (sign: number) => {
    const now = typedNumber(value) || 0;
    change(showNumber(Math.max(0, Math.round((now + sign * step) * 10) / 10)));
  };
  return (
    <div>
      <div className="grid grid-cols-[64px_1fr_64px] items-end gap-2">
        <Big
          aria-label={say('thumb.name-less', { name })}
          onClick={() => {
            by(-1);
          }}
        >
          −
        </Big>
        <label className="text-[14px] text-muted">
          {name}, {measure ? unitSign(measure) : unit}
          <MeasureInput
            inputMode="decimal"
            value={value}
            unit={measure}
            change={change}
            aria-invalid={fault !== undefined}
            className={`block min-h-12 w-full rounded-md border bg-paper text-center text-[22px] font-bold text-ink ${
              fault ? 'border-2 border-lichen' : 'border-muted/45'
            }`}
          />
        </label>
        <Big
          aria-label={say('thumb.name-more', { name })}
          onClick={() => {
            by(1);
          }}
        >
          +
        </Big>
      </div>
      {fault && (
        <p role="alert" className="mt-1 text-[14.5px] font-semibold text-lichen">
          {fault}
        </p>
      )}
    </div>
  );
}
