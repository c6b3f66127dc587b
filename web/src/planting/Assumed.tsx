import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type PlantingOption } from '../api/client';
import { NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { named } from '../text/term';
import type { Unit } from '../text/units';
import { Button } from '../ui/Button';
import type { Planting } from './request';

/** The units of assumptions that another is told for in customary units. */
const CONVERTED: Record<string, Unit> = { 'per-ha': 'perHa', 'per-ha-year': 'perHa', 'kg-per-hour': 'kg' };

const PRUNING = 'pruningMinutes';

/** What pruning takes by the plans of the holding's own surveyed trees, to be taken for the usual figure. */
function ByOwnPlans({
  species,
  system,
  now,
  use,
}: {
  species: string;
  system: string;
  now: number | undefined;
  use: (minutes: number) => void;
}) {
  const say = useSay();
  const planned = useQuery({
    queryKey: ['planned-pruning', species, system],
    queryFn: () => answer(api.GET('/api/plantings/pruning', { params: { query: { species, system } } })),
    staleTime: Infinity,
  });
  const minutes = planned.data?.minutes;
  if (minutes == null || !planned.data) return null;
  return (
    <p className="mt-1 flex flex-wrap items-center gap-3">
      {say('plantings.planned-pruning', { trees: planned.data.trees, minutes })}
      {minutes !== now && (
        <Button
          onClick={() => {
            use(minutes);
          }}
        >
          {say('plantings.use-planned', { minutes })}
        </Button>
      )}
    </p>
  );
}

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
  const [open, setOpen] = useState(false);
  const figure = (name: string, value: number | undefined) => {
    const others = Object.entries(option.costs ?? {}).filter(([other]) => other !== name);
    set({ costs: Object.fromEntries(value == null ? others : [...others, [name, value]]) });
  };
  return (
    <details
      className="mt-4 text-[14px]"
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary className="min-h-9 content-center font-semibold">
        {say('plantings.assumed-for', { name: result.name })}
      </summary>
      <p className="text-muted">{say('plantings.assumed-note')}</p>
      {open && option.species && option.system && (
        <ByOwnPlans
          species={option.species}
          system={option.system}
          now={result.assumed.find((one) => one.name === PRUNING)?.value}
          use={(minutes) => {
            figure(PRUNING, minutes);
          }}
        />
      )}
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
                figure(one.name, value);
              }}
            />
          </span>
        ))}
      </div>
    </details>
  );
}
