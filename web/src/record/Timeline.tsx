import { inFarm } from '../api/farm';
import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { answer, api, type Drawing, type RecordLine } from '../api/client';
import { FIRST_VIEW } from '../stand/camera';
import { prepare } from '../stand/geometry';
import type { Showing } from '../stand/paint';
import { SmallTree } from '../stand/SmallTree';
import { useMayChange } from '../people/who';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { day } from '../ui/words';
import { CheckedSeasonTable } from './CheckedSeasonTable';

const SIZE = 170;
const AS_FOUND: Showing = { layer: 'wood', stage: 'found', cuts: new Map(), lit: new Set() };

/** A plant through the years: as it was surveyed, what was done between, and whether its forecast came true. */
export function Timeline({
  id,
  records,
  counted = false,
}: {
  id: number;
  records: RecordLine[];
  /** A bush, a cane row or a vine. */
  counted?: boolean;
}) {
  const say = useSay();
  const surveys = useQuery({
    queryKey: ['surveys', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/surveys', { params: { path: { id } } })),
  });
  const forecasts = useQuery({
    queryKey: ['forecasts', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/forecasts', { params: { path: { id } } })),
  });
  const queries = useQueryClient();
  const mayChange = useMayChange();
  const withdraw = useMutation({
    mutationFn: ({ survey, withdrawn }: { survey: number; withdrawn: boolean }) =>
      answer(
        api.PUT('/api/surveys/{id}/withdrawal', { params: { path: { id: survey } }, body: { withdrawn } }),
      ),
    onSuccess: () => void queries.invalidateQueries(),
  });
  const shown = (surveys.data ?? []).slice(0, 6);
  if (surveys.isError) return <Failed error={surveys.error} />;
  return (
    <section aria-labelledby="years" className="mt-8">
      <h2 id="years" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('timeline.through-the-years')}
      </h2>
      {surveys.isPending && <p className="py-3 text-muted">{say('timeline.drawing-the-years')}</p>}
      <ol className="flex flex-wrap gap-6 py-3">
        {[...shown].reverse().map((one) => {
          const cuts = records
            .filter((record) => record.surveyedOn === one.surveyedOn && record.correctedBy == null)
            .flatMap((record) =>
              record.steps.filter((step) => step.outcome !== 'skipped' && step.outcome !== 'left'),
            ).length;
          return (
            <li key={one.id} className="w-[180px]">
              {counted ? <PastPlant survey={one.id} /> : <PastTree survey={one.id} />}
              <b className="block text-[14px]">{day(one.surveyedOn)}</b>
              <span className="text-[13px] text-muted">
                {say(counted ? 'timeline.canes-canes-cuts' : 'timeline.limbs-limbs-cuts', {
                  limbs: one.limbs,
                  cuts: cuts > 0 && say('timeline.then-cuts-steps-done', { cuts }),
                })}
              </span>
              {one.withdrawnBy !== '' && (
                <span className="block text-[13px] font-semibold text-lichen">
                  {say('timeline.withdrawn-by-withdrawnby-it-does', { withdrawnBy: one.withdrawnBy })}
                </span>
              )}
              {mayChange && (
                <Button
                  weight="quiet"
                  className="-ml-3"
                  disabled={withdraw.isPending}
                  onClick={() => {
                    withdraw.mutate({ survey: one.id, withdrawn: one.withdrawnBy === '' });
                  }}
                >
                  {one.withdrawnBy === ''
                    ? say('timeline.withdraw-this-survey')
                    : say('timeline.let-it-count-again')}
                </Button>
              )}
            </li>
          );
        })}
      </ol>
      {forecasts.data && forecasts.data.length > 0 && (
        <>
          <h3 className="text-[17px] font-bold">{say('timeline.was-the-forecast-right')}</h3>
          {forecasts.data.map((season) => (
            <CheckedSeasonTable key={season.later} season={season} />
          ))}
        </>
      )}
      {forecasts.data?.length === 0 && (
        <p className="text-[14px] text-muted">
          {say(counted ? 'timeline.count-again-next-winter' : 'timeline.survey-the-tree-again-next')}
        </p>
      )}
    </section>
  );
}

function PastTree({ survey }: { survey: number }) {
  const drawing = useQuery({
    queryKey: ['survey-drawing', survey],
    staleTime: Infinity,
    queryFn: () => answer(api.GET('/api/surveys/{id}/drawing', { params: { path: { id: survey } } })),
  });
  return drawing.data ? <Past drawing={drawing.data} /> : <div style={{ height: SIZE }} />;
}

function PastPlant({ survey }: { survey: number }) {
  return (
    <img src={inFarm(`/api/surveys/${survey}/drawing.svg`)} alt="" style={{ height: SIZE, width: SIZE }} />
  );
}

function Past({ drawing }: { drawing: Drawing }) {
  const stand = useMemo(() => prepare(drawing), [drawing]);
  return <SmallTree stand={stand} view={FIRST_VIEW} showing={AS_FOUND} width={SIZE} height={SIZE} />;
}
