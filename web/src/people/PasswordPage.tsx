import { useSay } from '../text/say';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { Button } from '../ui/Button';
import { DoorField, DoorSheet } from './Door';
import { useWho } from './who';

/** A new password of one's own. */
export function PasswordPage() {
  const say = useSay();
  const who = useWho();
  const [old, setOld] = useState('');
  const [password, setPassword] = useState('');
  const change = useMutation({
    mutationFn: () => answer(api.PUT('/api/session/password', { body: { old, password } })),
    onSuccess: () => {
      setOld('');
      setPassword('');
    },
  });
  if (who.state !== 'signed-in') {
    return (
      <div className="mx-auto max-w-[620px] px-6 py-10">
        <h1 className="text-[28px] font-bold">{say('password-page.your-password')}</h1>
        <p className="mt-3">
          {say('password-page.nobody-is-signed-in-here')}{' '}
          <Link to="/accounts" className="underline underline-offset-4">
            {say('password-page.accounts')}
          </Link>
          .
        </p>
      </div>
    );
  }
  return (
    <DoorSheet
      framed
      title={say('password-page.your-password')}
      submit={() => {
        change.mutate();
      }}
      error={change.error}
    >
      <DoorField
        label={say('password-page.the-one-you-have')}
        value={old}
        set={setOld}
        type="password"
        autoComplete="current-password"
      />
      <DoorField
        label={say('password-page.the-new-one-at-least')}
        value={password}
        set={setPassword}
        type="password"
        autoComplete="new-password"
      />
      <Button type="submit" weight="ink" className="mt-4 min-h-11" disabled={change.isPending}>
        {say('password-page.change-it')}
      </Button>
      {change.isSuccess && (
        <p role="status" className="mt-3">
          {say('password-page.changed')}{' '}
          <Link to="/" className="underline underline-offset-4">
            {say('password-page.go-on')}
          </Link>
        </p>
      )}
    </DoorSheet>
  );
}
