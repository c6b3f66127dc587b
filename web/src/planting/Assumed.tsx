import type { PlantingOption } from '../api/client';
import { NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { named } from '../text/term';
import type { Unit } from '../text/units';
import type { Planting } from './request';

/** The units of assumptions that another is told for in customary units. */
const CONVERTED: Record<string, Unit> = { 'per-ha': 'perHa', 'per-ha-year': 'perHa', 'kg-per-hour': 'kg' };

/** Every figure an option is calculated with, to be set otherwise. */
export function Assumed({
  result,
  option,
  set,
}: {
  result: PlantingOption;
  option: Planting;
  set: (part: Partial<Planting>) => void;
}) {
  const say = useSay();
  return (
    <details className="mt-4 text-[14px]">
      <summary className="min-h-9 content-center font-semibold">
        {say('plantings.assumed-for', { name: result.name })}
      </summary>
      <p className="text-muted">{say('plantings.assumed-note')}</p>
      <div className="mt-1 flex flex-wrap gap-3">
        {result.assumed.map((one) => (
          <span key={one.name} className={one.from === 'yours' ? 'font-semibold' : ''}>
            <NumberField
              name={say('plantings.figure-unit', {
                name: named('planting-figure', one.name),
                unit: named('planting-unit', one.unit),
              })}
              unit={CONVERTED[one.unit]}
              value={option.costs?.[one.name] ?? one.value}
              set={(value) => {
                const others = Object.entries(option.costs ?? {}).filter(([name]) => name !== one.name);
                set({ costs: Object.fromEntries(value == null ? others : [...others, [one.name, value]]) });
              }}
            />
          </span>
        ))}
      </div>
    </details>
  );
}
