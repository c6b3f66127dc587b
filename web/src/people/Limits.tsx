import { MeasureInput } from '../ui/MeasureInput';
import { unitSign, type Unit } from '../text/units';
import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { Problem } from '../api/problem';
import { Button } from '../ui/Button';
import { sentNumber } from '../ui/numbers';
import { Failed } from '../ui/States';

interface Held {
  id: number;
  name: string;
  diameterMm?: number | null;
  massKg?: number | null;
  heightM?: number | null;
}

/** What the holding's own people leave to somebody qualified. */
export function Limits() {
  const say = useSay();
  const holdings = useQuery({ queryKey: ['holdings'], queryFn: () => answer(api.GET('/api/holdings')) });
  if (holdings.isError) return <Failed error={holdings.error} />;
  return (
    <section aria-labelledby="limits" className="mt-8">
      <h2 id="limits" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('limits.left-to-qualified-people')}
      </h2>
      <p className="max-w-prose pt-2 text-[14px] text-muted">{say('limits.a-step-past-one-of')}</p>
      <ul>
        {(holdings.data ?? []).map((one) => (
          <LimitRow key={JSON.stringify(one)} holding={one} />
        ))}
      </ul>
    </section>
  );
}

function LimitRow({ holding }: { holding: Held }) {
  const say = useSay();
  const [diameter, setDiameter] = useState(holding.diameterMm?.toString() ?? '');
  const [mass, setMass] = useState(holding.massKg?.toString() ?? '');
  const [height, setHeight] = useState(holding.heightM?.toString() ?? '');
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/holdings/{id}/limits', {
          params: { path: { id: holding.id } },
          body: {
            ...(diameter.trim() ? { diameterMm: sentNumber(diameter) } : {}),
            ...(mass.trim() ? { massKg: sentNumber(mass) } : {}),
            ...(height.trim() ? { heightM: sentNumber(height) } : {}),
          },
        }),
      ),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['holdings'] }),
  });
  const problem = save.error instanceof Problem ? save.error : null;
  const field = (label: string, unit: Unit, value: string, set: (value: string) => void) => (
    <label className="flex items-center gap-2 text-[14px]">
      {label}
      <MeasureInput
        inputMode="decimal"
        value={value}
        unit={unit}
        placeholder={say('limits.none')}
        change={set}
        className="min-h-9 w-20 rounded-md border border-muted/50 bg-paper px-2"
      />
      {unitSign(unit)}
    </label>
  );
  return (
    <li className="border-b border-line py-2">
      <form
        className="flex flex-wrap items-center gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <b className="w-52">{holding.name}</b>
        {field(say('limits.cuts-from'), 'mm', diameter, setDiameter)}
        {field(say('limits.pieces-from'), 'kg', mass, setMass)}
        {field(say('limits.cuts-above'), 'm', height, setHeight)}
        <Button type="submit">{say('limits.save')}</Button>
        {problem && (
          <span role="alert" className="text-lichen">
            {problem.errors.map((one) => one.message).join(' ') || problem.message}
          </span>
        )}
      </form>
    </li>
  );
}
