import { useSay } from '../text/say';
import type { ReactNode } from 'react';
import { Problem } from '../api/problem';

/**
 * A short form in the middle of the page.
 *
 * @param framed - it stands under the way about, which tells the name already
 */
export function DoorSheet({
  title,
  submit,
  error,
  framed = false,
  children,
}: {
  title: string;
  submit: () => void;
  error: unknown;
  framed?: boolean;
  children: ReactNode;
}) {
  const say = useSay();
  const problem = error instanceof Problem ? error : null;
  const Page = framed ? 'div' : 'main';
  return (
    <Page className="grid h-full place-items-center px-4">
      <form
        className="w-full max-w-[380px]"
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        {!framed && (
          <p className="mb-4 flex items-center gap-2 font-display text-[21px] font-bold">
            <img src="/mark.svg" alt="" width={28} height={28} /> {say('door.umbel')}
          </p>
        )}
        <h1 className="text-[28px] font-bold">{title}</h1>
        {children}
        {problem && (
          <p role="alert" className="mt-3 border-l-4 border-lichen bg-lichen-wash px-3 py-2">
            {problem.errors.map((one) => one.message).join(' ') || problem.message}
          </p>
        )}
      </form>
    </Page>
  );
}

/** One line of such a form. */
export function DoorField({
  label,
  value,
  set,
  type = 'text',
  autoComplete,
}: {
  label: string;
  value: string;
  set: (value: string) => void;
  type?: string;
  autoComplete: string;
}) {
  return (
    <label className="mt-3 block">
      {label}
      <input
        type={type}
        value={value}
        autoComplete={autoComplete}
        autoCapitalize="none"
        onChange={(event) => {
          set(event.target.value);
        }}
        className="mt-1 min-h-11 w-full rounded-md border border-muted/50 bg-paper px-3"
      />
    </label>
  );
}

/** Who somebody is and what they will sign in with, as they make their account. */
export interface NewAccount {
  name: string;
  login: string;
  password: string;
}

/** The lines of a form by which somebody makes their own account. */
export function AccountFields({ account, set }: { account: NewAccount; set: (account: NewAccount) => void }) {
  const say = useSay();
  return (
    <>
      <DoorField
        label={say('gate.your-name')}
        value={account.name}
        set={(name) => {
          set({ ...account, name });
        }}
        autoComplete="name"
      />
      <DoorField
        label={say('gate.login')}
        value={account.login}
        set={(login) => {
          set({ ...account, login });
        }}
        autoComplete="username"
      />
      <DoorField
        label={say('gate.password-at-least-10-characters')}
        value={account.password}
        set={(password) => {
          set({ ...account, password });
        }}
        type="password"
        autoComplete="new-password"
      />
    </>
  );
}
