import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type FarmLine } from '../api/client';
import { ofFarm } from '../api/farm';
import { useWho } from '../people/who';
import { useSay } from '../text/say';
import { Failed, Loading } from '../ui/States';
import { AddFarm } from './AddFarm';
import { byNeed, matching } from './needs';
import { TakeInvitation } from './TakeInvitation';

/** All farms somebody has a role in, those that wait for something first. */
export function FarmsPage() {
  const say = useSay();
  const who = useWho();
  const [search, setSearch] = useState('');
  const farms = useQuery({ queryKey: ['farms'], queryFn: () => answer(api.GET('/api/farms')) });
  if (farms.isPending) return <Loading what={say('farms.reading')} />;
  if (farms.isError) return <Failed error={farms.error} retry={() => void farms.refetch()} />;
  const shown = byNeed(matching(farms.data, search));
  return (
    <div className="mx-auto max-w-[1080px] px-6 py-6">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-[28px] font-bold">{say('farms.title')}</h1>
        {farms.data.length > 5 && (
          <input
            type="search"
            aria-label={say('farms.search')}
            placeholder={say('farms.search')}
            value={search}
            onChange={(event) => {
              setSearch(event.target.value);
            }}
            className="min-h-9 w-64 rounded-md border border-muted/50 bg-paper px-3"
          />
        )}
      </div>
      {shown.length === 0 ? (
        <p className="py-6 text-muted">{say('farms.none-matches')}</p>
      ) : (
        <FarmTable farms={shown} here={who.farm} />
      )}
      {who.state === 'signed-in' && <TakeInvitation />}
      {who.keeper && <AddFarm />}
    </div>
  );
}

function FarmTable({ farms, here }: { farms: FarmLine[]; here: string }) {
  const say = useSay();
  const head = 'border-b-2 border-ink py-1.5 font-semibold';
  const cell = (count: number, urgent = false) => (
    <td
      className={`border-b border-line py-2 pl-4 text-right tabular-nums ${
        count === 0 ? 'text-muted' : urgent ? 'font-bold text-lichen' : ''
      }`}
    >
      {count}
    </td>
  );
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr>
            <th className={`${head} text-left`}>{say('farms.farm')}</th>
            <th className={`${head} pl-4 text-left`}>{say('farms.your-role')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.due')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.overdue')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.waiting')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.doubtful')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.surveyed')}</th>
          </tr>
        </thead>
        <tbody>
          {farms.map((one) => (
            <tr key={one.code}>
              <td className="border-b border-line py-2">
                <a href={ofFarm(one.code)} className="font-semibold underline underline-offset-4">
                  {one.name || say('farms.unnamed')}
                </a>
                {one.code === here && (
                  <span className="ml-2 text-[14px] text-muted">{say('farms.you-are-here')}</span>
                )}
              </td>
              <td className="border-b border-line py-2 pl-4">{say('farms.role', { role: one.role })}</td>
              {cell(one.due)}
              {cell(one.overdue, true)}
              {cell(one.suggested)}
              {cell(one.doubtful)}
              {cell(one.surveyed)}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-2 text-[14px] text-muted">{say('farms.what-the-figures-are')}</p>
    </div>
  );
}
