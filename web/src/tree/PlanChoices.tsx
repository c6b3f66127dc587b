import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Decisions, type TreePage } from '../api/client';
import { PHASES, PLANNED_PHASES } from '../ui/phases';
import { capital, TIMING_WORDS } from '../ui/words';
import { OwnWish } from './OwnWish';
import { SchoolLines } from './SchoolLines';
import type { Plans } from './usePlans';

const USUAL_WINTERS = 3;

/** For what purpose, by which school, when, and over how many winters: one line, opened to change it. */
export function PlanChoices({
  decisions,
  limits,
  timing,
  onChange,
}: {
  decisions: Decisions;
  limits: TreePage['limits'];
  timing: Plans['timing'];
  onChange: (next: Decisions) => void;
}) {
  const say = useSay();
  const known = useQuery({
    queryKey: ['knowledge'],
    queryFn: () => answer(api.GET('/api/knowledge')),
    staleTime: Infinity,
  });
  const purposes = known.data?.purposes ?? [];
  const schools = known.data?.schools ?? [];
  const goals = decisions.goals;
  const purpose = goals
    ? (purposes.find((one) => Object.entries(one.goals).every(([goal, weight]) => goals[goal] === weight))
        ?.id ?? '')
    : 'balanced';
  const school = decisions.school ?? 'classic';
  const winters =
    decisions.winters ??
    decisions.schoolLines?.['renovationWinters'] ??
    schools.find((one) => one.id === school)?.winters ??
    USUAL_WINTERS;
  return (
    <details className="border-b border-line">
      <summary className="px-5 py-1 text-[13px]">
        {say('plan-choices.planned', {
          purpose: purposes.find((one) => one.id === purpose)?.name ?? say('plan-choices.your-own'),
          school: schools.find((one) => one.id === school)?.name ?? school,
          phase: PHASES[decisions.phase ?? 'dormant'] ?? '',
          winters,
        })}{' '}
        <b className={`float-right ${timing.verdict === 'not' ? 'text-lichen' : 'text-moss'}`}>
          {TIMING_WORDS[timing.verdict]}
        </b>
      </summary>
      <p className="px-5 pt-1 text-[13.5px]">{timing.reasons[0]}</p>
      <div className="grid grid-cols-2 gap-3 px-5 py-2.5">
        <label className="text-[12.5px] text-muted">
          {say('plan-choices.purpose')}
          <select
            value={purpose}
            onChange={(event) => {
              const chosen = purposes.find((one) => one.id === event.target.value);
              if (chosen) onChange({ ...decisions, goals: chosen.goals });
            }}
            className="block min-h-9 w-full border-b border-muted/60 bg-paper text-[14px] text-ink"
          >
            {purpose === '' && <option value="">{say('plan-choices.your-own')}</option>}
            {purposes.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
        <label className="text-[12.5px] text-muted">
          {say('plan-choices.school')}
          <select
            value={school}
            title={schools.find((one) => one.id === school)?.why}
            onChange={(event) => {
              onChange({ ...decisions, school: event.target.value });
            }}
            className="block min-h-9 w-full border-b border-muted/60 bg-paper text-[14px] text-ink"
          >
            {schools.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
        <label className="text-[12.5px] text-muted">
          {say('plan-choices.when')}
          <select
            value={decisions.phase ?? 'dormant'}
            onChange={(event) => {
              onChange({ ...decisions, phase: event.target.value as Decisions['phase'] });
            }}
            className="block min-h-9 w-full border-b border-muted/60 bg-paper text-[14px] text-ink"
          >
            {PLANNED_PHASES.map((phase) => (
              <option key={phase} value={phase}>
                {capital(PHASES[phase] ?? phase)}
              </option>
            ))}
          </select>
        </label>
        <label className="text-[12.5px] text-muted">
          {say('plan-choices.over')}
          <select
            value={winters}
            onChange={(event) => {
              onChange({ ...decisions, winters: Number(event.target.value) });
            }}
            className="block min-h-9 w-full border-b border-muted/60 bg-paper text-[14px] text-ink"
          >
            {[1, 2, 3, 4].map((count) => (
              <option key={count} value={count}>
                {count === 1
                  ? say('plan-choices.this-visit-alone')
                  : say('plan-choices.winters-winters', { winters: count })}
              </option>
            ))}
          </select>
        </label>
        <OwnWish
          decisions={decisions}
          usual={purposes.find((one) => one.id === 'balanced')?.goals ?? {}}
          limits={limits}
          onChange={onChange}
        />
        <SchoolLines decisions={decisions} onChange={onChange} />
      </div>
    </details>
  );
}
