import { MeasureInput } from '../ui/MeasureInput';
import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { sentNumber } from '../ui/numbers';
import { BlockForm } from './BlockForm';
import { BOX, Labelled, SetupSheet } from './SetupSheet';

/** Setting up: a holding first, then its blocks. */
export function Setup({ empty }: { empty: boolean }) {
  const say = useSay();
  const holdings = useQuery({ queryKey: ['holdings'], queryFn: () => answer(api.GET('/api/holdings')) });
  const none = holdings.data?.length === 0;
  return (
    <details className="mt-8 border-t border-line pt-3" open={empty}>
      <summary className="min-h-9 content-center font-semibold">{say('setup.add-a-block-or-a')}</summary>
      {none && <p className="mt-2 max-w-prose text-muted">{say('setup.begin-with-where-the-trees')}</p>}
      <div className="grid grid-cols-[1fr_300px] gap-10 max-md:grid-cols-1">
        {holdings.data && holdings.data.length > 0 && <BlockForm holdings={holdings.data} block={null} />}
        <HoldingForm />
      </div>
    </details>
  );
}

function HoldingForm() {
  const say = useSay();
  const [name, setName] = useState('');
  const [latitude, setLatitude] = useState('');
  const [elevation, setElevation] = useState('');
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/holdings', {
          body: {
            name,
            latitudeDeg: sentNumber(latitude),
            elevationM: sentNumber(elevation),
            timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
          },
        }),
      ),
    onSuccess: () => {
      setName('');
      void queries.invalidateQueries({ queryKey: ['holdings'] });
      void queries.invalidateQueries({ queryKey: ['holding'] });
    },
  });
  return (
    <SetupSheet
      title={say('setup.a-holding')}
      action={say('setup.add-the-holding')}
      busy={save.isPending}
      ready={name.trim() !== '' && latitude.trim() !== '' && elevation.trim() !== ''}
      error={save.error}
      submit={() => {
        save.mutate();
      }}
    >
      <Labelled name={say('name.name-of-the-holding')} wide>
        <input
          className={BOX}
          value={name}
          onChange={(event) => {
            setName(event.target.value);
          }}
        />
      </Labelled>
      <Labelled name={say('name.latitude-south-is-negative')}>
        <input
          className={BOX}
          inputMode="decimal"
          value={latitude}
          onChange={(event) => {
            setLatitude(event.target.value);
          }}
        />
      </Labelled>
      <Labelled name={say('name.height-above-the-sea-m')}>
        <MeasureInput className={BOX} inputMode="decimal" value={elevation} unit="m" change={setElevation} />
      </Labelled>
    </SetupSheet>
  );
}
