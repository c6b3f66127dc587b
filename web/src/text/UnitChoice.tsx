import { useSay, type Code } from './say';
import { chooseUnits, UNIT_SYSTEMS, useUnits, type UnitSystem } from './units';

const NAMES: Record<UnitSystem, [long: Code, short: Code]> = {
  metric: ['units.metric', 'units.metric-short'],
  us: ['units.us', 'units.us-short'],
};

/** The units figures are shown and typed in; this device remembers it. */
export function UnitChoice({ small = false }: { small?: boolean }) {
  const say = useSay();
  const now = useUnits();
  return (
    <span role="group" aria-label={say('units.of-measure')} className={`flex ${small ? 'self-center' : ''}`}>
      {UNIT_SYSTEMS.map((one) => (
        <button
          key={one}
          type="button"
          data-units={one}
          aria-pressed={now === one}
          aria-label={say(NAMES[one][0])}
          title={say(NAMES[one][0])}
          onClick={() => {
            chooseUnits(one);
          }}
          className={`${small ? 'min-h-8 px-1.5 text-[13px]' : 'min-h-11 px-3 text-[15px]'} ${now === one ? 'bg-ink font-semibold text-paper' : 'border border-line'}`}
        >
          {say(NAMES[one][1])}
        </button>
      ))}
    </span>
  );
}
