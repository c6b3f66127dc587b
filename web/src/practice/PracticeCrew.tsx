import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { useSay } from '../text/say';
import { named } from '../text/term';
import { Failed } from '../ui/States';
import { percent } from '../ui/words';

const MOST_SPLITS = 6;

/** How the crew practises, and how far people agree on the same tree. */
export function PracticeCrew() {
  const say = useSay();
  const crew = useQuery({
    queryKey: ['practice-crew'],
    queryFn: () => answer(api.GET('/api/practice/crew')),
  });
  if (crew.isError) return <Failed error={crew.error} retry={() => void crew.refetch()} />;
  if (!crew.data || crew.data.people.length === 0) return null;
  const words: Record<string, string> = {
    well: say('practice-crew.well'),
    fairly: say('practice-crew.fairly'),
    little: say('practice-crew.little'),
  };
  return (
    <section aria-labelledby="crew" className="mt-8">
      <h2 id="crew" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('practice-crew.title')}
      </h2>
      <table className="mt-1 w-full text-[15px]">
        <thead className="text-left text-[13px] text-muted">
          <tr>
            <th className="font-normal">{say('practice-crew.person')}</th>
            <th className="text-right font-normal">{say('practice-crew.exercises')}</th>
            <th className="text-right font-normal">{say('practice-crew.passed')}</th>
            <th className="text-right font-normal">{say('practice-crew.mean')}</th>
          </tr>
        </thead>
        <tbody>
          {crew.data.people.map((one) => (
            <tr key={one.name} className="border-b border-line">
              <td className="py-1">{one.name}</td>
              <td className="text-right">{one.exercises}</td>
              <td className="text-right">{one.passed}</td>
              <td className="text-right">{percent(one.mean)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {crew.data.common.length === 0 ? (
        <p className="pt-2 text-[14px] text-muted">{say('practice-crew.no-common')}</p>
      ) : (
        crew.data.common.map((tree) => (
          <div key={tree.code} className="border-b border-line py-2 text-[14.5px]">
            <p>
              <Link to={`/practice/${tree.code}`} className="font-semibold underline underline-offset-4">
                {tree.title}
              </Link>{' '}
              {tree.people.join(', ')}
            </p>
            <p>
              {tree.kappa == null
                ? say('practice-crew.no-kappa')
                : say('practice-crew.kappa', {
                    kappa: tree.kappa.toFixed(2),
                    agree: words[tree.agree ?? ''] ?? '',
                  })}
            </p>
            {tree.splits.length > 0 && (
              <ul className="text-[13.5px] text-muted">
                {tree.splits.slice(0, MOST_SPLITS).map((split) => (
                  <li key={split.limb}>
                    {say('practice-crew.split', {
                      limb: split.limb,
                      fates: Object.entries(split.fates)
                        .map(([fate, count]) => `${named('limb-fate', fate)} ${count}`)
                        .join(', '),
                    })}
                  </li>
                ))}
              </ul>
            )}
          </div>
        ))
      )}
    </section>
  );
}
