import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Decisions } from '../api/client';
import { Failed, Loading } from '../ui/States';
import { TwoOutcomes } from './TwoOutcomes';

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
        <TwoOutcomes
          beside={beside.data}
          mine={beside.data.school}
          other={beside.data.otherSchool}
          onPoint={onPoint}
        />
      )}
    </section>
  );
}
