import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type PlantPage } from '../api/client';
import { keyOf } from '../api/marks';
import { useMayChange } from '../people/who';
import { say, useSay } from '../text/say';
import { ExportLinks } from '../tree/ExportLinks';
import { SaveNote, SaveTrouble } from '../tree/SaveNote';
import { SuggestionList } from '../tree/SuggestionList';
import { useDeciding } from '../tree/useDeciding';
import { AfterwardsList } from '../ui/Afterwards';
import { Button } from '../ui/Button';
import { PHASES, PLANNED_PHASES } from '../ui/phases';
import { Failed } from '../ui/States';
import { useInAddress } from '../ui/useInAddress';
import { day, minutes, TIMING_WORDS } from '../ui/words';
import { markOf } from './marks';
import { Ages, PlantGauges, Seasons } from './PlantFigures';
import { PlantFindings, PlantSteps } from './PlantSteps';

type Phase = (typeof PLANNED_PHASES)[number];

const SEASONS = ['bare', 'bloom', 'summer', 'harvest'] as const;
const FULL_TURN = 360;
const EIGHTH = 45;

const PLAN_WORDS: Record<string, string> = {
  get recommended() {
    return say('plan-panel.recommended');
  },
  get gentler() {
    return say('plan-panel.gentler');
  },
  get firmer() {
    return say('plan-panel.firmer');
  },
  get nothing() {
    return say('plan-panel.no-cuts');
  },
};

/** A bush, a cane row or a vine: drawn, its plan beside it; what is taken shows in the drawing and the figures at once. */
export function PlantDesk({ id, page }: { id: number; page: PlantPage }) {
  const say = useSay();
  const mayChange = useMayChange();
  const [tab, setTab] = useState<'plan' | 'wrong'>('plan');
  const [name, setName] = useState('recommended');
  const [pointed, setPointed] = useState('');
  const [chosen, setChosen] = useState('');
  const work = useDeciding(id, {
    decisions: page.decisions,
    workVersion: page.workVersion,
    surveyId: page.surveyId,
    together: page.together,
    page: 'plant',
    newest: () => answer(api.GET('/api/plants/{id}', { params: { path: { id } } })),
  });
  const phase = work.decisions.phase ?? 'dormant';
  const looked = useQuery({
    queryKey: ['plant-plans', id, page.surveyId, phase],
    queryFn: () => answer(api.POST('/api/plants/{id}/plans', { params: { path: { id } }, body: { phase } })),
    initialData: phase === (page.decisions.phase ?? 'dormant') ? page.looked : undefined,
    placeholderData: keepPreviousData,
  });
  const [turned, setTurned] = useState(0);
  const [season, setSeason] = useInAddress<(typeof SEASONS)[number]>('season', 'bare', SEASONS);
  const marked = useQuery({
    queryKey: ['plant-marks', id, page.surveyId, work.decisions.marks, turned, season],
    queryFn: () =>
      answer(
        api.POST('/api/plants/{id}/marks', {
          params: { path: { id }, query: { turned, season } },
          body: work.decisions,
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const assessment = (looked.data ?? page.looked).assessment;
  const plan = assessment.plans.find((one) => one.name === name) ?? assessment.plans[0];
  const missing = (plan?.steps ?? []).filter(
    (step) => !work.marks.some((mark) => keyOf(mark) === keyOf(step)),
  );
  const { name: plant } = page;
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_400px] max-lg:h-auto max-lg:grid-cols-1">
      <div className="relative flex min-h-0 flex-col bg-sky/50 max-lg:min-h-[420px]">
        <div className="px-5 pt-4">
          <h1 className="text-[26px] font-bold">{plant.label}</h1>
          <p>
            {say('plant-desk.kind-leaf', { kind: plant.kindName, leaf: plant.leaf })}
            {page.survey.plant?.cultivar?.name ? `, ${page.survey.plant.cultivar.name}` : ''}
          </p>
          <p className="text-[13.5px] text-muted">
            {say('plant-desk.counted-on', { day: day(page.surveyedOn) })}
            {page.workedOn ? ` ${say('plant-desk.worked-on', { day: day(page.workedOn) })}` : ''}
          </p>
        </div>
        <Drawing
          svg={marked.data?.drawing ?? page.looked.drawing}
          pointed={pointed || chosen}
          onChoose={(cane) => {
            setChosen(cane === chosen ? '' : cane);
            setTab('plan');
          }}
        />
        <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2 px-5 pb-3">
          <div>
            <div
              role="group"
              aria-label={say('plant-desk.drawn-in')}
              className="inline-flex bg-paper/90 p-1 text-[14px]"
            >
              {SEASONS.map((one) => (
                <button
                  key={one}
                  type="button"
                  aria-pressed={one === season}
                  onClick={() => {
                    setSeason(one);
                  }}
                  className={`min-h-9 px-3 ${one === season ? 'bg-ink font-semibold text-paper' : 'hover:bg-sand'}`}
                >
                  {say('plant-desk.season', { season: one })}
                </button>
              ))}
            </div>
            <p className="pt-1 text-[13px] text-muted">{say('plant-desk.colours')}</p>
          </div>
          <Turning
            bush={plant.form === 'bush'}
            turn={(by) => {
              setTurned((turned + by + FULL_TURN) % FULL_TURN);
            }}
          />
        </div>
      </div>
      <div className="flex min-h-0 flex-col border-l border-line bg-paper">
        <PlantGauges assessment={assessment} marked={marked.data} learned={page.learned} />
        <div className="flex items-center justify-between border-b border-line px-5 pb-2 text-[13px]">
          <span className="text-muted">
            {marked.data && work.marks.length > 0
              ? say('plant-desk.minutes', { time: minutes(marked.data.minutes) })
              : say('plant-desk.nothing-marked')}
          </span>
          <SaveNote work={work} />
        </div>
        <div className="px-5">
          <SaveTrouble work={work} />
        </div>
        <div role="tablist" className="flex gap-5 border-b border-line px-5 text-[15px]">
          {(
            [
              ['plan', say('plant-desk.plan')],
              ['wrong', say('plant-desk.what-is-wrong', { count: assessment.reading.findings.length })],
            ] as const
          ).map(([key, words]) => (
            <button
              key={key}
              type="button"
              role="tab"
              aria-selected={tab === key}
              onClick={() => {
                setTab(key);
              }}
              className={`border-b-[3px] pt-2 pb-1.5 ${tab === key ? 'border-ink font-semibold' : 'border-transparent text-muted'}`}
            >
              {words}
            </button>
          ))}
        </div>
        <div className="relative min-h-0 flex-1 overflow-auto pb-4">
          {tab === 'wrong' ? (
            <PlantFindings
              findings={assessment.reading.findings}
              names={page.looked.ruleNames}
              onPoint={setPointed}
            />
          ) : (
            <>
              <SuggestionList id={id} of="plant" page={page} work={work} />
              <div
                role="radiogroup"
                aria-label={say('plant-desk.plans')}
                className="flex border-b border-line"
              >
                {assessment.plans.map((one) => (
                  <button
                    key={one.name}
                    type="button"
                    role="radio"
                    aria-checked={one.name === name}
                    onClick={() => {
                      setName(one.name);
                    }}
                    className={`flex-1 px-2 py-2 text-[13px] ${one.name === name ? 'bg-sand font-semibold' : 'text-muted'}`}
                  >
                    {PLAN_WORDS[one.name]}
                    <span className="block text-[12px] font-normal">
                      {one.steps.length === 0 ? '–' : minutes(one.totals.minutes)}
                    </span>
                  </button>
                ))}
              </div>
              <label className="flex items-center gap-3 px-5 py-2 text-[13px] text-muted">
                {say('plan-choices.when')}
                <select
                  value={phase}
                  onChange={(event) => {
                    work.change({ ...work.decisions, phase: event.target.value as Phase });
                  }}
                  className="min-h-9 flex-1 border-b border-muted/60 bg-paper text-[14px] text-ink"
                >
                  {PLANNED_PHASES.map((one) => (
                    <option key={one} value={one}>
                      {PHASES[one]}
                    </option>
                  ))}
                </select>
              </label>
              <p className="px-5 text-[14px]">
                <b>{TIMING_WORDS[assessment.timing.verdict]}.</b> {assessment.timing.reasons[0]}
              </p>
              {looked.isError && <Failed error={looked.error} retry={() => void looked.refetch()} />}
              {plan && plan.steps.length > 0 && (
                <div className="flex gap-2 px-5 pt-3">
                  <Button
                    weight="ink"
                    disabled={missing.length === 0}
                    onClick={() => {
                      const kept = work.marks.filter(
                        (mark) => !plan.steps.some((step) => step.limb === mark.limb),
                      );
                      work.change({ ...work.decisions, marks: [...kept, ...plan.steps.map(markOf)] });
                    }}
                  >
                    {missing.length === 0
                      ? say('plan-panel.all-taken')
                      : say('plan-panel.take-all-length', { length: plan.steps.length })}
                  </Button>
                  {work.marks.length > 0 && (
                    <Button weight="quiet" onClick={work.clear}>
                      {say('plan-panel.clear')}
                    </Button>
                  )}
                </div>
              )}
              {plan && (
                <PlantSteps
                  plan={plan}
                  names={page.looked.ruleNames}
                  work={work}
                  chosen={chosen}
                  onPoint={setPointed}
                />
              )}
              <ul className="px-5 pt-4 text-[13.5px] text-muted">
                {assessment.calendar.map((one) => (
                  <li key={one.work}>{one.text}</li>
                ))}
              </ul>
              <Ages assessment={assessment} />
              <Seasons marked={marked.data} />
              <AfterwardsList tasks={marked.data?.afterwards ?? []} className="mx-5 mt-4 text-[14px]" />
              {assessment.measureNext.map((one) => (
                <p key={one.what} className="mx-5 mt-1 border-l-[3px] border-lichen pl-2 text-[13.5px]">
                  {one.why}
                </p>
              ))}
              <ExportLinks
                id={id}
                title={say('plant-desk.export-as')}
                files={[
                  ['survey.csv', say('tree-desk.a-table')],
                  ['drawing.svg', say('tree-desk.a-drawing')],
                ]}
              />
            </>
          )}
        </div>
        <div className="flex items-center justify-between gap-3 border-t border-line px-5 py-3">
          <span className="text-[14px] text-muted">
            {say('plant-desk.marked', { count: work.marks.length })}
          </span>
          <span className="flex gap-2">
            {mayChange && (
              <Link
                to={`/plants/${id}/survey`}
                className="grid min-h-9 place-items-center rounded-md border border-muted/50 px-3 text-[14px] font-semibold"
              >
                {say('plant-desk.count-again')}
              </Link>
            )}
            <Link
              to={`/field/trees/${id}`}
              className="grid min-h-9 place-items-center rounded-md bg-ink px-3 text-[14px] font-semibold text-paper"
            >
              {say('plant-desk.sheet-and-record')}
            </Link>
          </span>
        </div>
      </div>
    </div>
  );
}

/** Turns a bush before the viewer; a row and a vine are seen from their other side. */
function Turning({ bush, turn }: { bush: boolean; turn: (degrees: number) => void }) {
  const say = useSay();
  return (
    <div className="flex shrink-0 gap-2">
      {bush ? (
        <>
          <Button
            aria-label={say('plant-desk.turn-left')}
            onClick={() => {
              turn(-EIGHTH);
            }}
          >
            ↺
          </Button>
          <Button
            aria-label={say('plant-desk.turn-right')}
            onClick={() => {
              turn(EIGHTH);
            }}
          >
            ↻
          </Button>
        </>
      ) : (
        <Button
          onClick={() => {
            turn(FULL_TURN / 2);
          }}
        >
          {say('plant-desk.other-side')}
        </Button>
      )}
    </div>
  );
}

/** The plant as the server draws it; a cane is picked by touching it. Its names are held to letters and digits by the format. */
function Drawing({
  svg,
  pointed,
  onChoose,
}: {
  svg: string;
  pointed: string;
  onChoose: (cane: string) => void;
}) {
  const say = useSay();
  const drawn = useRef<HTMLDivElement>(null);
  useEffect(() => {
    drawn.current?.querySelectorAll('g[data-cane]').forEach((cane) => {
      const name = cane.getAttribute('data-cane') ?? '';
      cane.classList.toggle('lit', pointed !== '' && (name === pointed || name.startsWith(`${pointed}/`)));
    });
  }, [pointed, svg]);
  return (
    <div className="min-h-0 flex-1 px-4 py-2">
      <div
        ref={drawn}
        role="img"
        aria-label={say('plant-desk.drawing')}
        className="plant-drawing h-full [&_svg]:h-full [&_svg]:w-full"
        onClick={(event) => {
          const cane = (event.target as Element).closest('[data-cane]')?.getAttribute('data-cane');
          if (cane) onChoose(cane);
        }}
        dangerouslySetInnerHTML={{ __html: svg }}
      />
    </div>
  );
}
