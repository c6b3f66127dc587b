import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { named, term } from '../text/term';
import { calledIn, changeOf } from './changes';

/** Who changed what, newest first, in words. */
export function Trail() {
  const say = useSay();
  const trail = useQuery({ queryKey: ['audit'], queryFn: () => answer(api.GET('/api/audit')) });
  const holding = useQuery({ queryKey: ['holding'], queryFn: () => answer(api.GET('/api/holding')) });
  const [sought, setSought] = useState('');
  const told = (path: string) => {
    const { what, of } = changeOf(path);
    const name = calledIn(holding.data, of);
    return `${what === null ? path.replace('/api/', '') : named('change', what)}${name && `, ${name}`}`;
  };
  const lines = (trail.data ?? [])
    .map((one) => ({ ...one, did: METHODS[one.method] ?? one.method, what: told(one.path) }))
    .filter((one) => `${one.who} ${one.did} ${one.what}`.toLowerCase().includes(sought.toLowerCase()));
  return (
    <section aria-labelledby="trail" className="mt-8">
      <div className="flex items-end justify-between border-b-2 border-ink pb-1.5">
        <h2 id="trail" className="text-[20px] font-bold">
          {say('accounts-page.who-changed-what')}
        </h2>
        <input
          aria-label={say('accounts-page.search-the-changes')}
          type="search"
          placeholder={say('accounts-page.who-or-what')}
          value={sought}
          onChange={(event) => {
            setSought(event.target.value);
          }}
          className="min-h-9 w-48 rounded-md border border-muted/50 bg-paper px-2"
        />
      </div>
      {trail.data && lines.length === 0 && (
        <p className="py-3 text-muted">{say('accounts-page.no-change-answers-to-that')}</p>
      )}
      <table className="w-full text-[14px]">
        <tbody>
          {lines.slice(0, 60).map((one) => (
            <tr key={one.id} className="border-b border-line">
              <td className="py-1 pr-3 text-muted sm:whitespace-nowrap">
                {new Date(one.at).toLocaleString(locale(), { dateStyle: 'medium', timeStyle: 'short' })}
              </td>
              <td className="pr-3 font-semibold">{one.who}</td>
              <td className="pr-3">{one.did}</td>
              <td className="pr-3">{one.what}</td>
              <td className="text-muted">
                {one.status < 400 ? '' : say('accounts-page.refused-status', { status: one.status })}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const METHODS: Record<string, string> = {
  get POST() {
    return term('added');
  },
  get PUT() {
    return term('changed');
  },
  get DELETE() {
    return term('deleted');
  },
};
