import { UnitChoice } from '../text/UnitChoice';
import { useLanguage } from '../text/language';
import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { SignOut } from '../people/SignOut';
import { useWho } from '../people/who';
import { Failed, Loading } from '../ui/States';
import { LanguageChoice } from '../text/LanguageChoice';
import { SyncNote } from './SyncNote';

/** Where there is marked work, for whoever cuts it. */
export function FieldHome() {
  const say = useSay();
  const who = useWho();
  const language = useLanguage();
  const rows = useQuery({
    queryKey: ['field'],
    networkMode: 'always',
    queryFn: () => answer(api.GET('/api/field')),
  });
  if (rows.isPending) return <Loading what="…" />;
  if (rows.isError) return <Failed error={rows.error} retry={() => void rows.refetch()} />;
  return (
    <div lang={language} className="mx-auto max-w-[640px] px-4 py-4 text-[18px]">
      <div className="flex items-center justify-between gap-3">
        <LanguageChoice />
        <UnitChoice />
      </div>
      <h1 className="mt-3 text-[26px] font-bold">{say('field.work')}</h1>
      <SyncNote />
      {rows.data.length === 0 && <p className="mt-3 text-muted">{say('field.nothing')}</p>}
      <ul className="mt-2">
        {rows.data.map((row) => (
          <li key={`${row.blockId}-${row.row}`} className="border-b border-line">
            <Link
              to={`/field/blocks/${row.blockId}?row=${row.row}`}
              className="flex min-h-16 items-center justify-between gap-3 py-2"
            >
              <b className="text-[22px]">
                {row.block} {row.row}
              </b>
              <span className="text-[16px] text-muted">{say('field.trees', { count: row.trees })}</span>
            </Link>
          </li>
        ))}
      </ul>
      <p className="mt-6 text-[17px]">
        <Link
          to="/field/day"
          className="mr-6 inline-block min-h-11 py-2 font-semibold underline underline-offset-4"
        >
          {say('day-lists.tomorrow')}
        </Link>
        <Link
          to="/practice"
          className="inline-block min-h-11 py-2 font-semibold underline underline-offset-4"
        >
          {say('app.practice')}
        </Link>
        <Link
          to="/limb"
          className="ml-6 inline-block min-h-11 py-2 font-semibold underline underline-offset-4"
        >
          {say('one-limb.title')}
        </Link>
      </p>
      {who.state === 'signed-in' && (
        <p className="mt-6 text-[16px]">
          {who.name}
          <SignOut
            name={who.name}
            className="ml-4 min-h-11 underline underline-offset-4"
            onLeave={() => undefined}
          />
        </p>
      )}
    </div>
  );
}
