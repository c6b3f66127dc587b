import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Decisions, type TreePage } from '../api/client';
import { PHASES, PLANNED_PHASES } from '../ui/phases';
import { capital } from '../ui/words';
import { OwnWish } from './OwnWish';
import { SchoolLines } from './SchoolLines';

const USUAL_WINTERS = 3;

/** For what purpose, by which school, when, and over how many winters. */
export function PlanChoices({
  decisions,
  limits,
  onChange,
}: {
  decisions: Decisions;
  limits: TreePage['limits'];
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
  return (
    <div className="grid grid-cols-2 gap-3 border-b border-line px-5 py-2.5">
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
          value={decisions.winters ?? USUAL_WINTERS}
          onChange={(event) => {
            onChange({ ...decisions, winters: Number(event.target.value) });
          }}
          className="block min-h-9 w-full border-b border-muted/60 bg-paper text-[14px] text-ink"
        >
          {[1, 2, 3, 4].map((winters) => (
            <option key={winters} value={winters}>
              {winters === 1
                ? say('plan-choices.this-visit-alone')
                : say('plan-choices.winters-winters', { winters })}
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
  );
}
