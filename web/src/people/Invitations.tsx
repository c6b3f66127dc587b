import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { roles } from './roles';

/** Invites people who keep an account of their own: an adviser of several farms, or whoever takes the farm over. */
export function Invitations() {
  const say = useSay();
  const queries = useQueryClient();
  const [role, setRole] = useState('adviser');
  const invitations = useQuery({
    queryKey: ['invitations'],
    queryFn: () => answer(api.GET('/api/invitations')),
  });
  const refresh = () => void queries.invalidateQueries({ queryKey: ['invitations'] });
  const make = useMutation({
    mutationFn: () => answer(api.POST('/api/invitations', { body: { role } })),
    onSuccess: refresh,
  });
  const withdraw = useMutation({
    mutationFn: (id: number) => answer(api.DELETE('/api/invitations/{id}', { params: { path: { id } } })),
    onSuccess: refresh,
  });
  return (
    <section aria-labelledby="invitations" className="mt-8">
      <h2 id="invitations" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('invitations.title')}
      </h2>
      <p className="max-w-prose pt-2 text-[14px] text-muted">{say('invitations.why')}</p>
      {invitations.isError && <Failed error={invitations.error} retry={() => void invitations.refetch()} />}
      <ul>
        {(invitations.data ?? []).map((one) => (
          <li key={one.id} className="flex flex-wrap items-center gap-4 border-b border-line py-1.5">
            <b className="w-28">{say('farms.role', { role: one.role })}</b>
            <span className="flex-1 text-[14px] text-muted">
              {say('invitations.state', {
                state: one.state,
                madeBy: one.madeBy,
                takenBy: one.takenBy,
                until: one.goodUntil.slice(0, 10),
              })}
            </span>
            {one.state === 'open' && (
              <Button
                disabled={withdraw.isPending}
                onClick={() => {
                  withdraw.mutate(one.id);
                }}
              >
                {say('invitations.withdraw')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-center gap-3 py-2"
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate();
        }}
      >
        <select
          aria-label={say('invitations.role')}
          value={role}
          onChange={(event) => {
            setRole(event.target.value);
          }}
          className="min-h-9 rounded-md border border-muted/50 bg-paper px-2"
        >
          {roles(say).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
        <Button type="submit" disabled={make.isPending}>
          {say('invitations.invite')}
        </Button>
        {make.error && (
          <span role="alert" className="text-lichen">
            {make.error.message}
          </span>
        )}
      </form>
      {make.data && (
        <p role="status" className="border-l-4 border-ink bg-sand px-3 py-2">
          {say('invitations.pass-on')} <code className="font-bold">{make.data.code}</code>
        </p>
      )}
    </section>
  );
}
