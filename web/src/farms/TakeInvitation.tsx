import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { ofFarm } from '../api/farm';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';

/** Takes a role in another farm by the code of an invitation, with the account one is signed in with. */
export function TakeInvitation() {
  const say = useSay();
  const [code, setCode] = useState('');
  const take = useMutation({
    mutationFn: () => answer(api.POST('/api/session/join', { body: { code } })),
    onSuccess: (here) => {
      window.location.assign(ofFarm(here.farm));
    },
  });
  return (
    <section aria-labelledby="invited" className="mt-8">
      <h2 id="invited" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('farms.invited')}
      </h2>
      <form
        className="flex flex-wrap items-center gap-3 py-2"
        onSubmit={(event) => {
          event.preventDefault();
          take.mutate();
        }}
      >
        <input
          aria-label={say('farms.code-of-the-invitation')}
          placeholder={say('farms.code-of-the-invitation')}
          value={code}
          autoComplete="one-time-code"
          onChange={(event) => {
            setCode(event.target.value);
          }}
          className="min-h-9 w-64 rounded-md border border-muted/50 bg-paper px-3"
        />
        <Button type="submit" disabled={code.trim() === '' || take.isPending}>
          {say('farms.take-the-role')}
        </Button>
        {take.error && (
          <span role="alert" className="font-semibold text-lichen">
            {take.error.message}
          </span>
        )}
      </form>
    </section>
  );
}
