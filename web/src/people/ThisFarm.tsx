import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { inFarm } from '../api/farm';
import { FarmNameField } from '../farms/FarmNameField';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { useWho } from './who';

/** What this farm is called, and all of it as one file to take elsewhere. */
export function ThisFarm() {
  const say = useSay();
  const who = useWho();
  const queries = useQueryClient();
  const [name, setName] = useState(who.farmName);
  const rename = useMutation({
    mutationFn: () => answer(api.PUT('/api/farms/this', { body: { name } })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['session'] });
      void queries.invalidateQueries({ queryKey: ['farms'] });
    },
  });
  const leave = useMutation({
    mutationFn: () => answer(api.DELETE('/api/session/role')),
    onSuccess: () => {
      window.location.assign('/');
    },
  });
  const error = rename.error ?? leave.error;
  return (
    <section aria-labelledby="this-farm" className="mt-8">
      <h2 id="this-farm" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('this-farm.title')}
      </h2>
      <p className="max-w-prose pt-2 text-[14px] text-muted">{say('this-farm.why')}</p>
      <form
        className="flex flex-wrap items-center gap-3 py-2"
        onSubmit={(event) => {
          event.preventDefault();
          rename.mutate();
        }}
      >
        <FarmNameField name={name} onName={setName} />
        {name.trim() !== '' && name !== who.farmName && (
          <Button type="submit" weight="ink" disabled={rename.isPending}>
            {say('accounts-page.save')}
          </Button>
        )}
        <a className="font-semibold underline underline-offset-4" href={inFarm('/api/farms/this/archive')}>
          {say('this-farm.export')}
        </a>
        <a
          className="font-semibold underline underline-offset-4"
          href={inFarm('/api/records.csv')}
          download="records.csv"
        >
          {say('this-farm.records')}
        </a>
        {who.state === 'signed-in' && (
          <Button
            disabled={leave.isPending}
            onClick={() => {
              if (window.confirm(say('this-farm.leave-sure'))) leave.mutate();
            }}
          >
            {say('this-farm.leave')}
          </Button>
        )}
      </form>
      {error && (
        <p role="alert" className="font-semibold text-lichen">
          {error.message}
        </p>
      )}
    </section>
  );
}
