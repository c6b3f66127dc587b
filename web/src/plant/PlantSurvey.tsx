import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { FaultList } from '../ui/FaultList';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type CountSurvey, type TreePlace } from '../api/client';
import { Problem } from '../api/problem';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { useSettled } from '../ui/useSettled';
import { BushForm } from './BushForm';
import { ChoiceField, NumberField } from './CountFields';
import { without } from './countForm';
import { RowForm } from './RowForm';
import { VineForm } from './VineForm';

const DRAFT = 'umbel-count-draft-';
const MOST_UNDONE = 50;
const LOOK_AFTER_MS = 400;

const today = (timeZone: string) => new Date().toLocaleDateString('sv-SE', { timeZone });

function firstSurvey(place: TreePlace): CountSurvey {
  const { block } = place;
  const plant = {
    label: place.label,
    kind: block.species,
    leaf: new Date().getFullYear() - block.plantedYear,
    system: block.system,
    cultivar: { name: block.cultivar.split(',')[0] ?? '', vigour: 'moderate' },
    spacing_m: { inRow: block.inRowM, betweenRows: block.betweenRowsM },
    rowBearing_deg: block.rowBearingDeg,
  };
  return {
    format: 'umbel-count/1',
    plant,
    site: { latitude_deg: block.latitudeDeg, elevation_m: block.elevationM },
    ...(block.counted === 'bush'
      ? { canes: [] }
      : block.counted === 'row'
        ? { row: { canes: [] } }
        : { vine: {} }),
  };
}

function keptDraft(id: number): CountSurvey | null {
  try {
    return JSON.parse(localStorage.getItem(`${DRAFT}${id}`) ?? 'null') as CountSurvey | null;
  } catch {
    return null;
  }
}

/** A bush, a stretch of row or a vine counted anew, from what is expected of its last count or from what its block is. */
export function PlantSurvey({ place }: { place: TreePlace }) {
  const say = useSay();
  const before = useQuery({
    queryKey: ['count-expected', place.id, place.surveyId],
    enabled: place.surveyId != null,
    queryFn: () =>
      answer(api.GET('/api/plants/{id}/surveys/expected', { params: { path: { id: place.id } } })),
    gcTime: 0,
  });
  if (place.surveyId != null && before.isPending)
    return <Loading what={say('survey-page.getting-the-survey-ready')} />;
  if (before.isError) return <Failed error={before.error} retry={() => void before.refetch()} />;
  return <Counting place={place} before={before.data} />;
}

function Counting({ place, before }: { place: TreePlace; before: CountSurvey | undefined }) {
  const say = useSay();
  const go = useNavigate();
  const queries = useQueryClient();
  const known = useQuery({ queryKey: ['knowledge'], queryFn: () => answer(api.GET('/api/knowledge')) });
  const [survey, setSurvey] = useState<CountSurvey>(() => {
    const draft = keptDraft(place.id);
    if (draft) return draft;
    return before ?? firstSurvey(place);
  });
  const [earlier, setEarlier] = useState<CountSurvey[]>([]);
  const keep = (next: CountSurvey) => {
    setSurvey(next);
    localStorage.setItem(`${DRAFT}${place.id}`, JSON.stringify(next));
  };
  const set = (next: CountSurvey) => {
    setEarlier([...earlier.slice(1 - MOST_UNDONE), survey]);
    keep(next);
  };
  const undo = () => {
    const last = earlier.at(-1);
    if (!last) return;
    setEarlier(earlier.slice(0, -1));
    keep(last);
  };
  const settled = useSettled(survey, LOOK_AFTER_MS);
  const looked = useQuery({
    queryKey: ['count-preview', settled],
    queryFn: () => answer(api.POST('/api/plants/preview', { body: settled })),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/trees/{id}/surveys', {
          params: { path: { id: place.id } },
          body: { ...survey, surveyedOn: today(place.block.timeZone) } as never,
        }),
      ),
    onSuccess: () => {
      localStorage.removeItem(`${DRAFT}${place.id}`);
      void queries.invalidateQueries({ queryKey: ['holding'] });
      void go(`/plants/${place.id}`);
    },
  });
  const kinds = (known.data?.counted ?? []).filter(
    (kind) => kind.form === (survey.canes ? 'bush' : survey.row ? 'row' : 'vine'),
  );
  const plant = survey.plant ?? {};
  const kind = kinds.find((one) => one.id === plant.kind);
  const put = (part: Partial<NonNullable<CountSurvey['plant']>>) => {
    set({ ...survey, plant: { ...plant, ...part } });
  };
  const levels = [
    ['low', say('count-form.low-vigour')],
    ['moderate', say('count-form.moderate')],
    ['high', say('count-form.high-vigour')],
  ] as const;
  return (
    <div className="mx-auto grid max-w-[1180px] grid-cols-[minmax(0,1fr)_320px] gap-6 px-6 py-6 max-lg:grid-cols-1 max-sm:px-4">
      <div>
        <h1 className="text-[26px] font-bold">{say('count-form.count-label', { label: place.label })}</h1>
        <div className="my-3 flex flex-wrap gap-3">
          <ChoiceField
            name={say('count-form.kind')}
            value={plant.kind}
            options={kinds.map((one) => [one.id, one.name] as const)}
            set={(next) => {
              put({ kind: next ?? plant.kind });
            }}
          />
          <NumberField
            name={say('count-form.leaf')}
            value={plant.leaf}
            set={(leaf) => {
              put({ leaf });
            }}
          />
          <ChoiceField
            name={say('count-form.vigour')}
            value={plant.cultivar?.vigour ?? 'moderate'}
            options={levels}
            set={(vigour) => {
              put({ cultivar: { ...plant.cultivar, vigour } });
            }}
          />
          {survey.canes && (
            <NumberField
              name={say('count-form.crop-last-kg')}
              unit="kg"
              value={survey.cropLast_kg}
              set={(cropLast_kg) => {
                set(without({ ...survey, cropLast_kg }));
              }}
            />
          )}
          {survey.canes && (
            <ChoiceField
              name={say('count-form.habit')}
              value={plant.cultivar?.habit}
              options={[
                ['', say('count-form.not-looked-at')],
                ['upright', say('count-form.upright')],
                ['spreading', say('count-form.spreading')],
              ]}
              set={(habit) => {
                put({ cultivar: { ...plant.cultivar, habit } });
              }}
            />
          )}
        </div>
        {survey.canes && <BushForm survey={survey} set={set} />}
        {survey.row && <RowForm survey={survey} set={set} />}
        {survey.vine && <VineForm survey={survey} woods={kind?.woods ?? []} set={set} />}
        {save.isError && <Failed error={save.error} />}
        <div className="mt-5 flex gap-3">
          <Button
            weight="ink"
            disabled={save.isPending}
            onClick={() => {
              save.mutate();
            }}
          >
            {say('count-form.save')}
          </Button>
          <Button disabled={earlier.length === 0} onClick={undo}>
            {say('count-form.undo')}
          </Button>
          <Button
            weight="quiet"
            onClick={() => {
              set(before ?? firstSurvey(place));
            }}
          >
            {say('count-form.start-over')}
          </Button>
        </div>
      </div>
      <aside>
        {looked.error instanceof Problem && <FaultList errors={looked.error.errors} />}
        {looked.data && (
          <>
            <div
              role="img"
              aria-label={say('plant-desk.drawing')}
              className="plant-drawing bg-sky/50 p-3 [&_svg]:h-auto [&_svg]:max-h-[320px] [&_svg]:w-full"
              dangerouslySetInnerHTML={{ __html: looked.data.drawing }}
            />
            <ul className="mt-3 text-[14px]">
              {looked.data.assessment.reading.findings.map((finding) => (
                <li key={finding.rule} className="border-b border-line py-1.5">
                  <b>{looked.data.ruleNames[finding.rule]}</b>: {finding.measure}
                </li>
              ))}
              {looked.data.assessment.measureNext.map((one) => (
                <li key={one.what} className="py-1.5 text-muted">
                  {one.why}
                </li>
              ))}
            </ul>
          </>
        )}
      </aside>
    </div>
  );
}
