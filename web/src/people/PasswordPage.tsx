import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { Button } from '../ui/Button';
import { DoorField, DoorSheet } from './Door';
import { useWho } from './who';

/** A new password of one's own. */
export function PasswordPage() {
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
        <h1 className="text-[28px] font-bold">Your password</h1>
        <p className="mt-3">
          Nobody is signed in here, so there is no password to change. Accounts and first passwords are made
          under{' '}
          <Link to="/accounts" className="underline underline-offset-4">
            Accounts
          </Link>
          .
        </p>
      </div>
    );
  }
  return (
    <DoorSheet
      framed
      title="Your password"
      submit={() => {
        change.mutate();
      }}
      error={change.error}
    >
      <DoorField
        label="The one you have"
        value={old}
        set={setOld}
        type="password"
        autoComplete="current-password"
      />
      <DoorField
        label="The new one, at least 10 characters"
        value={password}
        set={setPassword}
        type="password"
        autoComplete="new-password"
      />
      <Button type="submit" weight="ink" className="mt-4 min-h-11" disabled={change.isPending}>
        Change it
      </Button>
      {change.isSuccess && (
        <p role="status" className="mt-3">
          Changed.{' '}
          <Link to="/" className="underline underline-offset-4">
            Go on
          </Link>
        </p>
      )}
    </DoorSheet>
  );
}
