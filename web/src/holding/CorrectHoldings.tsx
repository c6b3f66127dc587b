import { MeasureInput } from '../ui/MeasureInput';
import type { Unit } from '../text/units';
import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { Button } from '../ui/Button';
import { sentNumber, showNumber } from '../ui/numbers';
import { UndoNotice, type Done } from '../ui/Undone';
import { BOX, Labelled, SetupSheet } from './SetupSheet';

/** The holdings there are: renamed, put elsewhere, or deleted where they have no blocks. */
export function CorrectHoldings() {
  const say = useSay();
  const holdings = useQuery({ queryKey: ['holdings'], queryFn: () => answer(api.GET('/api/holdings')) });
  return (
    <details className="mt-3 border-t border-line pt-3">
      <summary className="min-h-9 content-center font-semibold">
        {say('correct-holdings.edit-a-holding')}
      </summary>
      {(holdings.data ?? []).map((one) => (
        <Correct key={one.id} id={one.id} />
      ))}
    </details>
  );
}

interface HoldingFacts {
  name: string;
  latitudeDeg: number;
  elevationM: number;
  timeZone: string;
}

function Correct({ id }: { id: number }) {
  const say = useSay();
  const holding = useQuery({
    queryKey: ['holding-setup', id],
    queryFn: () => answer(api.GET('/api/holdings/{id}', { params: { path: { id } } })),
  });
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [done, setDone] = useState<Done | null>(null);
  const queries = useQueryClient();
  const now = holding.data;
  const put = (body: HoldingFacts) =>
    answer(api.PUT('/api/holdings/{id}', { params: { path: { id } }, body })).then(() =>
      queries.invalidateQueries(),
    );
  const save = useMutation({
    mutationFn: async (before: HoldingFacts) => {
      await put({
        name: typed['name'] ?? before.name,
        latitudeDeg: sentNumber(typed['latitude'] ?? showNumber(before.latitudeDeg)),
        elevationM: sentNumber(typed['elevation'] ?? showNumber(before.elevationM)),
        timeZone: typed['zone'] ?? before.timeZone,
      });
      return before;
    },
    onSuccess: (before) => {
      setTyped({});
      setDone({
        words: say('correct-holdings.name-is-changed', { name: before.name }),
        undo: () => put(before),
      });
    },
  });
  const remove = useMutation({
    mutationFn: () => answer(api.DELETE('/api/holdings/{id}', { params: { path: { id } } })),
    onSuccess: () => void queries.invalidateQueries(),
  });
  if (!now) return null;
  const field = (key: string, name: string, value: string, unit?: Unit) => (
    <Labelled name={name}>
      <MeasureInput
        className={BOX}
        value={typed[key] ?? value}
        unit={unit}
        change={(next) => {
          setTyped({ ...typed, [key]: next });
        }}
      />
    </Labelled>
  );
  return (
    <div>
      <SetupSheet
        title={now.name}
        action={say('correct-holdings.save')}
        busy={save.isPending}
        ready={Object.keys(typed).length > 0}
        error={save.error ?? remove.error}
        submit={() => {
          save.mutate(now);
        }}
      >
        {field('name', say('correct-holdings.name'), now.name)}
        {field('latitude', say('correct-holdings.latitude-south-is-negative'), showNumber(now.latitudeDeg))}
        {field('elevation', say('correct-holdings.height-above-the-sea-m'), showNumber(now.elevationM), 'm')}
        {field('zone', say('correct-holdings.time-zone-its-days-are'), now.timeZone)}
      </SetupSheet>
      {now.blocks === 0 && (
        <Button
          className="mt-2"
          onClick={() => {
            remove.mutate();
          }}
        >
          {say('correct-holdings.delete')}
        </Button>
      )}
      <UndoNotice
        done={done}
        dismiss={() => {
          setDone(null);
        }}
      />
    </div>
  );
}
