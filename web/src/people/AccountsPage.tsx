import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type AccountLine } from '../api/client';
import { Problem } from '../api/problem';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { Backups } from './Backups';
import { Invitations } from './Invitations';
import { Limits } from './Limits';
import { PlansAtNight } from './PlansAtNight';
import { roles } from './roles';
import { ThisFarm } from './ThisFarm';
import { Trail } from './Trail';
import { useWho } from './who';

/** The grower's own room: who may sign in, keys of other programs, limits, and who changed what. */
export function AccountsPage() {
  const say = useSay();
  const who = useWho();
  const accounts = useQuery({ queryKey: ['accounts'], queryFn: () => answer(api.GET('/api/accounts')) });
  if (accounts.isPending) return <Loading what={say('accounts-page.reading-the-accounts')} />;
  if (accounts.isError) return <Failed error={accounts.error} retry={() => void accounts.refetch()} />;
  return (
    <div className="mx-auto max-w-[1080px] px-6 py-6">
      <h1 className="text-[28px] font-bold">{say('accounts-page.accounts-and-safety')}</h1>
      <section aria-labelledby="who-may" className="mt-5">
        <h2 id="who-may" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
          {say('accounts-page.who-may-sign-in')}
        </h2>
        <ul>
          {accounts.data.map((one) => (
            <AccountRow key={one.personId} account={one} />
          ))}
        </ul>
        <NewAccount />
      </section>
      <Invitations />
      <Limits />
      <ThisFarm />
      <PlansAtNight />
      {who.keeper && <Backups />}
      <Keys />
      <Trail />
    </div>
  );
}

function AccountRow({ account }: { account: AccountLine }) {
  const say = useSay();
  const [login, setLogin] = useState(account.login);
  const [role, setRole] = useState(account.role);
  const [active, setActive] = useState(account.active);
  const [crew, setCrew] = useState(account.crew);
  const [password, setPassword] = useState('');
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/accounts/{personId}', {
          params: { path: { personId: account.personId } },
          body: { login, role, password, active, crew },
        }),
      ),
    onSuccess: () => {
      setPassword('');
      void queries.invalidateQueries({ queryKey: ['accounts'] });
    },
  });
  const changed =
    login !== account.login ||
    role !== account.role ||
    password !== '' ||
    active !== account.active ||
    crew !== account.crew;
  const problem = save.error instanceof Problem ? save.error : null;
  return (
    <li className="border-b border-line py-2">
      <form
        className="flex flex-wrap items-center gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <b className="w-28">{account.name}</b>
        <input
          aria-label={say('accounts-page.login-of-name', { name: account.name })}
          placeholder={say('accounts-page.no-account')}
          value={login}
          autoComplete="off"
          onChange={(event) => {
            setLogin(event.target.value);
          }}
          className="min-h-9 w-40 rounded-md border border-muted/50 bg-paper px-2"
        />
        <select
          aria-label={say('accounts-page.role-of-name', { name: account.name })}
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
        <input
          aria-label={say('accounts-page.new-password-of-name', { name: account.name })}
          type="password"
          placeholder={account.login ? say('accounts-page.new-password') : say('accounts-page.password')}
          value={password}
          autoComplete="new-password"
          onChange={(event) => {
            setPassword(event.target.value);
          }}
          className="min-h-9 w-44 rounded-md border border-muted/50 bg-paper px-2"
        />
        {account.login !== '' && (
          <label className="flex items-center gap-1.5 text-[14px]">
            <input
              type="checkbox"
              checked={active}
              onChange={(event) => {
                setActive(event.target.checked);
              }}
            />
            {say('accounts-page.may-sign-in')}
          </label>
        )}
        <label className="flex items-center gap-1.5 text-[14px]">
          <input
            type="checkbox"
            checked={crew}
            disabled={account.login === ''}
            onChange={(event) => {
              setCrew(event.target.checked);
            }}
          />
          {say('accounts-page.in-the-crew')}
        </label>
        {changed && (
          <Button type="submit" weight="ink" disabled={save.isPending}>
            {say('accounts-page.save')}
          </Button>
        )}
        {save.isSuccess && !changed && (
          <span role="status" className="text-moss">
            {say('accounts-page.saved')}
          </span>
        )}
        {problem && (
          <span role="alert" className="text-lichen">
            {problem.errors.map((one) => one.message).join(' ') || problem.message}
          </span>
        )}
      </form>
    </li>
  );
}

/** An account for somebody who does not work in the crew, such as an adviser or a second grower. */
function NewAccount() {
  const say = useSay();
  const [name, setName] = useState('');
  const [login, setLogin] = useState('');
  const [role, setRole] = useState('adviser');
  const [password, setPassword] = useState('');
  const queries = useQueryClient();
  const add = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/accounts', {
          body: { name, account: { login, role, password, active: true, crew: false } },
        }),
      ),
    onSuccess: () => {
      setName('');
      setLogin('');
      setPassword('');
      void queries.invalidateQueries({ queryKey: ['accounts'] });
    },
  });
  const problem = add.error instanceof Problem ? add.error : null;
  const text = (label: string, value: string, set: (value: string) => void, type = 'text') => (
    <input
      aria-label={label}
      placeholder={label}
      type={type}
      autoComplete={type === 'password' ? 'new-password' : 'off'}
      value={value}
      onChange={(event) => {
        set(event.target.value);
      }}
      className="min-h-9 w-40 rounded-md border border-muted/50 bg-paper px-2"
    />
  );
  return (
    <form
      className="flex flex-wrap items-center gap-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
      {text(say('accounts-page.name'), name, setName)}
      {text(say('accounts-page.new-login'), login, setLogin)}
      <select
        aria-label={say('accounts-page.role-of-the-new-account')}
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
      {text(say('accounts-page.first-password'), password, setPassword, 'password')}
      <Button type="submit" disabled={name.trim() === '' || login.trim() === '' || add.isPending}>
        {say('accounts-page.add-account')}
      </Button>
      {problem && (
        <span role="alert" className="text-lichen">
          {problem.errors.map((one) => one.message).join(' ') || problem.message}
        </span>
      )}
    </form>
  );
}

function Keys() {
  const say = useSay();
  const keys = useQuery({ queryKey: ['keys'], queryFn: () => answer(api.GET('/api/keys')) });
  const [name, setName] = useState('');
  const queries = useQueryClient();
  const refresh = () => void queries.invalidateQueries({ queryKey: ['keys'] });
  const make = useMutation({
    mutationFn: () => answer(api.POST('/api/keys', { body: { name } })),
    onSuccess: () => {
      setName('');
      refresh();
    },
  });
  const revoke = useMutation({
    mutationFn: (id: number) => api.DELETE('/api/keys/{id}', { params: { path: { id } } }),
    onSuccess: refresh,
  });
  return (
    <section aria-labelledby="keys" className="mt-8">
      <h2 id="keys" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('accounts-page.keys-for-other-programs')}
      </h2>
      <p className="pt-2 text-[14px] text-muted">{say('accounts-page.with-a-key-another-program')}</p>
      <ul>
        {(keys.data ?? []).map((one) => (
          <li key={one.id} className="flex items-center gap-4 border-b border-line py-1.5">
            <b className="w-44">{one.name}</b>
            <span className="flex-1 text-[14px] text-muted">
              {say('accounts-page.made-madeat-by-madeby-part', {
                madeAt: one.madeAt.slice(0, 10),
                madeBy: one.madeBy,
                part: one.lastUsed
                  ? say('accounts-page.last-used-lastused', { lastUsed: one.lastUsed.slice(0, 10) })
                  : say('accounts-page.never-used'),
              })}
            </span>
            {one.revoked ? (
              <span className="text-muted">{say('accounts-page.revoked')}</span>
            ) : (
              <Button
                onClick={() => {
                  revoke.mutate(one.id);
                }}
              >
                {say('accounts-page.revoke')}
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
        <input
          aria-label={say('accounts-page.what-the-key-is-for')}
          placeholder={say('accounts-page.what-it-is-for')}
          value={name}
          onChange={(event) => {
            setName(event.target.value);
          }}
          className="min-h-9 w-56 rounded-md border border-muted/50 bg-paper px-2"
        />
        <Button type="submit" disabled={name.trim() === '' || make.isPending}>
          {say('accounts-page.make-a-key')}
        </Button>
      </form>
      {make.data && (
        <p role="status" className="border-l-4 border-ink bg-sand px-3 py-2">
          {say('accounts-page.copy-it-now-it-is')}{' '}
          <code className="font-bold break-all">{make.data.secret}</code>
        </p>
      )}
    </section>
  );
}
