import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { answer, api, type LimbQuestion, type LimbVerdict } from '../api/client';
import { Problem } from '../api/problem';
import { useRuleNames } from '../guide/useRules';
import { ChipField, ChoiceField, NumberField } from '../plant/CountFields';
import { firstViewOf, type View } from '../stand/camera';
import { prepare, type Stand } from '../stand/geometry';
import type { Showing } from '../stand/paint';
import { TreeStand } from '../stand/TreeStand';
import { CONDITIONS } from '../survey/form';
import { endsOf } from '../survey/reshape';
import { useSay } from '../text/say';
import { term } from '../text/term';
import { OptionNumbers } from '../tree/OptionNumbers';
import { besides } from '../tree/useCutWalk';
import { Failed } from '../ui/States';
import { useSettled } from '../ui/useSettled';
import { percent } from '../ui/words';
import { fromAddress, toAddress } from './question';

const ASK_AFTER_MS = 400;
const MARGINS = { top: 16, side: 24, bottom: 40 };

/** One limb, asked about without a survey of its tree: what speaks against it, what to do, and what else could be done. */
export function LimbPage() {
  const say = useSay();
  const [search, setSearch] = useSearchParams();
  const [question, setQuestion] = useState(() => fromAddress(search));
  const set = (part: Partial<LimbQuestion>) => {
    const next = { ...question, ...part };
    setQuestion(next);
    setSearch(toAddress(next), { replace: true });
  };
  const settled = useSettled(question, ASK_AFTER_MS);
  const asked = useQuery({
    queryKey: ['one-limb', settled],
    queryFn: () => answer(api.POST('/api/practice/limb', { body: settled })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
  const known = useQuery({ queryKey: ['knowledge'], queryFn: () => answer(api.GET('/api/knowledge')) });
  const species = (known.data?.species ?? []).map((one) => [one.id, one.name] as const);
  const systems = (known.data?.systems ?? [])
    .filter((one) => one.species.includes(question.species ?? ''))
    .map((one) => [one.id, one.name] as const);
  const problem = asked.error instanceof Problem ? asked.error : null;
  return (
    <div className="mx-auto grid max-w-[1180px] grid-cols-[400px_minmax(0,1fr)] gap-8 px-6 py-6 max-lg:grid-cols-1 max-sm:px-4">
      <div>
        <h1 className="text-[26px] font-bold">{say('one-limb.title')}</h1>
        <p className="text-[14.5px] text-muted">{say('one-limb.what-it-does')}</p>
        <div className="mt-3 flex flex-wrap gap-2">
          <ChoiceField
            name={say('plantings.kind')}
            value={question.species}
            options={species}
            set={(next) => {
              const first = known.data?.systems.find((one) => one.species.includes(next ?? ''));
              set({ species: next, ...(first ? { system: first.id } : {}) });
            }}
          />
          <ChoiceField
            name={say('plantings.system')}
            value={question.system}
            options={systems}
            set={(system) => {
              set({ system });
            }}
          />
          <NumberField
            name={say('one-limb.leaf')}
            width="w-20"
            value={question.leaf}
            set={(leaf) => {
              set({ leaf: leaf === undefined ? undefined : Math.round(leaf) });
            }}
          />
          <NumberField
            name={say('one-limb.trunk')}
            unit="mm"
            width="w-20"
            value={question.trunkMm}
            set={(trunkMm) => {
              set({ trunkMm });
            }}
          />
        </div>
        <h2 className="mt-4 border-t-2 border-ink pt-2 text-[18px] font-bold">{say('one-limb.the-limb')}</h2>
        <div className="mt-1 flex flex-wrap gap-2">
          <NumberField
            name={say('one-limb.thickness')}
            unit="mm"
            width="w-20"
            value={question.diameterMm}
            set={(diameterMm) => {
              set({ diameterMm });
            }}
          />
          <NumberField
            name={say('one-limb.length')}
            unit="cm"
            width="w-20"
            value={question.lengthCm}
            set={(lengthCm) => {
              set({ lengthCm });
            }}
          />
          <NumberField
            name={say('one-limb.at')}
            unit="cm"
            width="w-20"
            value={question.atCm}
            set={(atCm) => {
              set({ atCm });
            }}
          />
          <NumberField
            name={say('one-limb.angle')}
            width="w-20"
            value={question.angleDeg}
            set={(angleDeg) => {
              set({ angleDeg });
            }}
          />
          <ChoiceField
            name={say('count-form.condition')}
            value={question.condition ?? 'sound'}
            options={CONDITIONS.map((one) => [one, term(one)] as const)}
            set={(condition) => {
              set({ condition: condition === 'sound' ? undefined : condition });
            }}
          />
        </div>
        <div className="mt-3">
          <ChipField
            name={say('one-limb.below')}
            value={question.over ? 'yes' : 'no'}
            options={[
              ['yes', say('one-limb.another-below')],
              ['no', say('one-limb.free-below')],
            ]}
            set={(next) => {
              set({ over: next === 'yes' ? true : undefined });
            }}
          />
        </div>
      </div>
      <div className="min-w-0" aria-busy={asked.isFetching} aria-live="polite">
        {problem && problem.errors.length > 0 ? (
          <ul role="alert" className="border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14px]">
            {problem.errors.map((one) => (
              <li key={one.field}>
                {say('one-limb.field-wrong', { field: one.field, message: one.message })}
              </li>
            ))}
          </ul>
        ) : (
          asked.isError && <Failed error={asked.error} retry={() => void asked.refetch()} />
        )}
        {asked.isPending && <p className="text-muted">{say('one-limb.asking')}</p>}
        {asked.data && !asked.isError && <Verdict verdict={asked.data} />}
      </div>
    </div>
  );
}

function Verdict({ verdict }: { verdict: LimbVerdict }) {
  const say = useSay();
  const ruleName = useRuleNames();
  const { step, findings, options } = verdict;
  const others = findings.filter((finding) => finding.reason !== step?.reason);
  return (
    <>
      <section aria-label={say('one-limb.answer')} className="border-l-4 border-ink bg-sand px-4 py-3">
        <h2 className="text-[22px] font-bold">{step ? step.title : say('one-limb.leave-it')}</h2>
        {step && (
          <>
            <p className="text-[15px]">{step.place}</p>
            <p className="text-[14.5px] text-muted">
              {step.numbers} · {say('one-limb.sure', { share: percent(step.confidence) })}
              {step.closeCall && ` · ${say('step-row.close-call')}`}
            </p>
            <p className="mt-1 text-[15px]">{step.reason}</p>
            {step.skipped !== '' && (
              <p className="text-[14.5px]">{say('step-row.if-it-is-left-lower', { lower: step.skipped })}</p>
            )}
            {step.cautions.map((caution) => (
              <p key={caution} className="mt-1 text-[14px] font-semibold text-lichen">
                {caution}
              </p>
            ))}
          </>
        )}
        {!step && (
          <p className="text-[15px]">
            {say(findings.length === 0 ? 'one-limb.nothing-against' : 'one-limb.not-this-winter')}
          </p>
        )}
      </section>
      {others.length > 0 && (
        <ul className="mt-3">
          {others.map((finding) => (
            <li key={finding.rule} className="border-b border-line py-1.5 text-[14.5px]">
              <Link
                to={`/guide?rule=${finding.rule}`}
                className="font-bold underline-offset-4 hover:underline"
              >
                {ruleName(finding.rule)}.
              </Link>{' '}
              {finding.reason}{' '}
              <span className="text-muted">
                {say('one-limb.sure', { share: percent(finding.confidence) })}
              </span>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-4 grid grid-cols-2 gap-6 max-md:grid-cols-1">
        <Drawn key={verdict.limb} verdict={verdict} />
        <div>
          <h3 className="border-b-2 border-ink pb-1 text-[15px] font-bold">
            {say('limb-panel.what-could-be-done-and')}
          </h3>
          {options.length === 0 && (
            <p className="py-2 text-[14px] text-muted">{say('limb-panel.nothing-sensible-can-be-cut')}</p>
          )}
          <ul>
            {options.map((option) => (
              <li key={option.title + option.place} className="border-b border-line py-1.5 text-[14px]">
                <b>{option.title}</b>
                <br />
                {option.place}
                <br />
                <span className="text-[13px] text-muted">
                  <OptionNumbers option={option} />
                </span>
              </li>
            ))}
          </ul>
        </div>
      </div>
      <p className="mt-2 text-[13px] text-muted">{say('one-limb.typical', { limb: verdict.limb })}</p>
    </>
  );
}

/** The tree turned so that the limb is seen from its side. */
function fromTheSide(verdict: LimbVerdict, stand: Stand): View {
  const first = firstViewOf(verdict.drawing);
  const ends = endsOf(stand, verdict.limb);
  if (!ends) return first;
  const heads = Math.atan2(ends.tip[0] - ends.base[0], ends.tip[1] - ends.base[1]);
  return { ...first, bearing: besides(first.bearing, heads) };
}

/** The typical tree with the limb on it. */
function Drawn({ verdict }: { verdict: LimbVerdict }) {
  const say = useSay();
  const stand = useMemo(() => prepare(verdict.drawing), [verdict.drawing]);
  const [view, setView] = useState<View>(() => fromTheSide(verdict, stand));
  const showing: Showing = useMemo(
    () => ({ layer: 'wood', stage: 'found', cuts: new Map(), lit: new Set([verdict.limb]) }),
    [verdict.limb],
  );
  const names = useMemo(() => new Map([[verdict.limb, verdict.limb]]), [verdict.limb]);
  return (
    <div className="h-[340px] border border-line">
      <TreeStand
        stand={stand}
        view={view}
        onView={setView}
        showing={showing}
        names={names}
        label={say('one-limb.drawn')}
        margins={MARGINS}
      />
    </div>
  );
}
