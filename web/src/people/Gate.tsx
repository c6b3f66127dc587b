import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { Navigate, useLocation } from 'react-router';
import { answer, api } from '../api/client';
import { farmBase } from '../api/farm';
import { Problem } from '../api/problem';
import { worksWithoutSignal } from '../field/keepForNoSignal';
import { proposeLanguage } from '../text/language';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { AccountFields, DoorField, DoorSheet } from './Door';
import { Invited } from './Invited';
import { keepHere, lastHere, Who } from './who';

/** Pages for whoever learns. */
const LEARNING = ['/practice', '/guide'];

/** Lets in who is signed in; makes the first account; a pruner is led to the rows, and may practise and read the guide. */
export function Gate({ children }: { children: ReactNode }) {
  const queries = useQueryClient();
  const path = useLocation().pathname;
  const session = useQuery({
    queryKey: ['session'],
    queryFn: async () => {
      const who = await answer(api.GET('/api/session'));
      keepHere(who);
      if (who.state === 'signed-in') proposeLanguage(who.language);
      return who;
    },
    staleTime: 60_000,
    networkMode: 'always',
    retry: false,
  });
  const signedIn = session.data?.state === 'signed-in';
  useEffect(() => {
    if (signedIn) window.dispatchEvent(new Event('umbel-signed-in'));
  }, [signedIn]);
  useEffect(() => {
    const ask = () => {
      void queries.invalidateQueries({ queryKey: ['session'] });
    };
    window.addEventListener('umbel-signed-out', ask);
    return () => {
      window.removeEventListener('umbel-signed-out', ask);
    };
  }, [queries]);
  const inTheField = path.startsWith('/field') || path.startsWith('/t/');
  // without signal whoever was here last goes on; the server asks again when there is signal
  const offline = session.isError && worksWithoutSignal(path) ? lastHere() : null;
  const who = session.data ?? offline;
  if (session.isPending) return <Loading what="…" />;
  if (!who) return <NotLetIn error={session.error} retry={() => void session.refetch()} />;
  if (who.state === 'first-account')
    return <FirstAccount codeNeeded={who.codeNeeded} done={() => void session.refetch()} />;
  if (who.state === 'signed-out') return <SignIn done={() => void session.refetch()} />;
  const learning = LEARNING.some((one) => path === one || path.startsWith(`${one}/`));
  if (who.role === 'pruner' && !inTheField && !learning && path !== '/password')
    return <Navigate replace to="/field" />;
  return <Who.Provider value={who}>{children}</Who.Provider>;
}

/** Where the server does not answer, or lets nobody in here: whoever has no role in this farm may have one in another. */
function NotLetIn({ error, retry }: { error: unknown; retry: () => void }) {
  const say = useSay();
  return (
    <>
      <Failed error={error} retry={retry} />
      {farmBase !== '' && error instanceof Problem && error.status === 404 && (
        <a href="/" className="mx-8 font-semibold underline underline-offset-4">
          {say('gate.to-your-farm')}
        </a>
      )}
    </>
  );
}

function SignIn({ done }: { done: () => void }) {
  const say = useSay();
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [invited, setInvited] = useState(false);
  const enter = useMutation({
    mutationFn: () => answer(api.POST('/api/session', { body: { login, password } })),
    onSuccess: done,
  });
  if (invited)
    return (
      <Invited
        back={() => {
          setInvited(false);
        }}
      />
    );
  return (
    <DoorSheet
      title={say('gate.sign-in')}
      submit={() => {
        enter.mutate();
      }}
      error={enter.error}
    >
      <DoorField label={say('gate.login')} value={login} set={setLogin} autoComplete="username" />
      <DoorField
        label={say('gate.password')}
        value={password}
        set={setPassword}
        type="password"
        autoComplete="current-password"
      />
      <div className="mt-4 flex items-center gap-4">
        <Button type="submit" weight="ink" className="min-h-11" disabled={enter.isPending}>
          {say('gate.sign-in')}
        </Button>
        <button
          type="button"
          className="underline underline-offset-4"
          onClick={() => {
            setInvited(true);
          }}
        >
          {say('gate.invited')}
        </button>
      </div>
    </DoorSheet>
  );
}

function FirstAccount({ codeNeeded, done }: { codeNeeded: boolean; done: () => void }) {
  const say = useSay();
  const [account, setAccount] = useState({ name: '', login: '', password: '' });
  const [code, setCode] = useState('');
  const make = useMutation({
    mutationFn: () => answer(api.POST('/api/session/first', { body: { ...account, code } })),
    onSuccess: done,
  });
  return (
    <DoorSheet
      title={say('gate.the-growers-account')}
      submit={() => {
        make.mutate();
      }}
      error={make.error}
    >
      <p className="mt-1 text-muted">{say('gate.this-is-the-first-start')}</p>
      <AccountFields account={account} set={setAccount} />
      {codeNeeded && (
        <DoorField
          label={say('gate.code-printed-where-umbel-was')}
          value={code}
          set={setCode}
          autoComplete="one-time-code"
        />
      )}
      <Button type="submit" weight="ink" className="mt-4 min-h-11" disabled={make.isPending}>
        {say('gate.make-the-account')}
      </Button>
    </DoorSheet>
  );
}
