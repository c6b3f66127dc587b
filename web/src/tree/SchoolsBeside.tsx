import { term } from '../text/term';
import { say, useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Decisions, type Plan, type Range, type Year } from '../api/client';
import { Failed, Loading } from '../ui/States';
import { LINE_WORDS, minutes, percent } from '../ui/words';

interface Props {
  id: number;
  decisions: Decisions;
  onPoint: (limbs: string[]) => void;
}

/** The same tree by another school: which cuts differ, because of which setting, and what comes of it. */
export function SchoolsBeside({ id, decisions, onPoint }: Props) {
  const say = useSay();
  const [other, setOther] = useState('');
  const known = useQuery({
    queryKey: ['knowledge'],
    queryFn: () => answer(api.GET('/api/knowledge')),
    staleTime: Infinity,
  });
  const body: Decisions = { ...decisions, marks: [] };
  const beside = useQuery({
    queryKey: ['beside', id, body, other],
    queryFn: () =>
      answer(
        api.POST('/api/trees/{id}/schools', { params: { path: { id }, query: { beside: other } }, body }),
      ),
    enabled: other !== '',
    staleTime: Infinity,
  });
  const schools = (known.data?.schools ?? []).filter((one) => one.id !== (decisions.school ?? 'classic'));
  return (
    <section
      aria-label={say('schools-beside.another-school')}
      className="mt-4 border-t border-line px-5 pt-3 text-[14px]"
    >
      <label className="flex items-center gap-2">
        {say('schools-beside.what-would-another-school-do')}
        <select
          value={other}
          onChange={(event) => {
            setOther(event.target.value);
          }}
          className="min-h-8 rounded-md border border-muted/50 bg-paper px-1.5"
        >
          <option value="">{say('schools-beside.choose')}</option>
          {schools.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      {other !== '' && beside.isPending && <Loading what={say('schools-beside.asking-the-other-school')} />}
      {beside.isError && <Failed error={beside.error} />}
      {beside.data && other !== '' && (
        <>
          <table className="mt-2 w-full text-left text-[13px]">
            <thead>
              <tr className="border-b border-line">
                <th className="py-1 font-semibold">{say('schools-beside.outcome')}</th>
                <th className="font-semibold">{beside.data.school}</th>
                <th className="font-semibold">{beside.data.otherSchool}</th>
              </tr>
            </thead>
            <tbody>
              {OUTCOMES().map(([words, say]) => (
                <tr key={words} className="border-b border-line">
                  <td className="py-1 text-muted">{words}</td>
                  <td>{say(beside.data.mine)}</td>
                  <td>{say(beside.data.other)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {beside.data.differing.length === 0 ? (
            <p className="mt-2">{say('schools-beside.both-would-make-the-same')}</p>
          ) : (
            <ul className="mt-2">
              {beside.data.differing.map((one) => (
                <li
                  key={one.limb}
                  className="border-b border-line py-1.5"
                  onMouseEnter={() => {
                    onPoint([one.limb]);
                  }}
                  onMouseLeave={() => {
                    onPoint([]);
                  }}
                >
                  <span className="block">
                    <b>{beside.data.school}:</b>{' '}
                    {(one.mine as string | null) ?? say('schools-beside.leaves-it')}.{' '}
                    <b>{beside.data.otherSchool}:</b>{' '}
                    {(one.other as string | null) ?? say('schools-beside.leaves-it')}.
                  </span>
                  <span className="block text-[13px] text-muted">{inWords(one.line, one.because)}</span>
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </section>
  );
}

const OUTCOMES = (): [string, (plan: Plan) => string][] => [
  [say('schools-beside.small-wood-taken'), (plan) => percent(plan.totals.woodShare)],
  [say('schools-beside.in-shade-after'), (plan) => percent(plan.totals.lightAfter.underFruitLight)],
  [say('schools-beside.crop-this-year'), (plan) => percent(plan.totals.cropThisYear)],
  [say('schools-beside.fruits-in-the-third-year'), (plan) => range(plan, (year) => year.fruits)],
  [say('schools-beside.of-them-first-class'), (plan) => range(plan, (year) => year.firstClassFruits)],
  [say('schools-beside.sprouts-next-summer'), (plan) => sprouts(plan)],
  [term('time'), (plan) => minutes(plan.totals.minutes)],
];

/** A figure of the third season as a range. */
function range(plan: Plan, of: (year: Year) => Range): string {
  const third = plan.years[2];
  return third
    ? say('schools-beside.low-to-high', { low: Math.round(of(third).low), high: Math.round(of(third).high) })
    : say('schools-beside.not-told');
}

function sprouts(plan: Plan): string {
  const first = plan.years[0]?.sprouts;
  return first
    ? say('schools-beside.low-to-high', { low: Math.round(first.low), high: Math.round(first.high) })
    : say('schools-beside.not-told');
}

function inWords(line: string | null | undefined, because: string): string {
  return line && LINE_WORDS[line] ? because.replace(line, LINE_WORDS[line]) : because;
}
