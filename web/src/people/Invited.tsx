import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { ofFarm } from '../api/farm';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { AccountFields, DoorField, DoorSheet } from './Door';

/** Takes a role by an invitation, with an account that there is or one that is made now. */
export function Invited({ back }: { back: () => void }) {
  const say = useSay();
  const [code, setCode] = useState('');
  const [account, setAccount] = useState({ name: '', login: '', password: '' });
  const join = useMutation({
    mutationFn: () => answer(api.POST('/api/session/join', { body: { code, ...account } })),
    onSuccess: (here) => {
      window.location.assign(ofFarm(here.farm));
    },
  });
  return (
    <DoorSheet
      title={say('invited.title')}
      submit={() => {
        join.mutate();
      }}
      error={join.error}
    >
      <p className="mt-1 text-muted">{say('invited.why')}</p>
      <DoorField
        label={say('farms.code-of-the-invitation')}
        value={code}
        set={setCode}
        autoComplete="one-time-code"
      />
      <AccountFields account={account} set={setAccount} />
      <div className="mt-4 flex items-center gap-4">
        <Button type="submit" weight="ink" className="min-h-11" disabled={join.isPending}>
          {say('farms.take-the-role')}
        </Button>
        <button type="button" className="underline underline-offset-4" onClick={back}>
          {say('gate.sign-in')}
        </button>
      </div>
    </DoorSheet>
  );
}
