import { term } from '../text/term';
import { say, useSay } from '../text/say';
import { Tabs } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Guide } from '../api/client';
import { Failed, Loading } from '../ui/States';
import { LINE_WORDS, percent } from '../ui/words';
import { Cuts } from './Cuts';
import { RuleFigure } from './RuleFigure';
import { useRules } from './useRules';
import { useGuide } from './useGuide';

const TABS = () =>
  [
    ['rules', say('guide-page.what-to-look-for')],
    ['cuts', say('guide-page.cuts-and-tools')],
    ['schools', say('guide-page.schools-side-by-side')],
    ['systems', say('guide-page.training-systems')],
    ['species', say('guide-page.kinds-of-tree')],
    ['counted', say('guide-page.bushes-canes-vines')],
  ] as const;

const VERDICTS: Record<string, string> = {
  get not() {
    return say('guide-page.not-now');
  },
  get allowed() {
    return term('allowed');
  },
  get better() {
    return term('better');
  },
  get best() {
    return term('best');
  },
};

/** What the program goes by, for reading: findings drawn, schools, systems, kinds of tree. */
export function GuidePage() {
  const say = useSay();
  const [params, setParams] = useSearchParams();
  const rule = params.get('rule');
  const tab = params.get('tab') ?? 'rules';
  const [sought, setSought] = useState('');
  const guide = useGuide();
  if (guide.isPending) return <Loading what={say('guide-page.opening-the-guide')} />;
  if (guide.isError) return <Failed error={guide.error} retry={() => void guide.refetch()} />;
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const has = (...texts: string[]) => words.every((word) => texts.join(' ').toLowerCase().includes(word));
  return (
    <div className="mx-auto max-w-[1080px] px-6 py-6">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-[28px] font-bold">{say('guide-page.guide')}</h1>
        <div>
          <label className="sr-only" htmlFor="seek-guide">
            {say('guide-page.search-the-guide')}
          </label>
          <input
            id="seek-guide"
            type="search"
            placeholder={say('guide-page.search-the-guide')}
            value={sought}
            onChange={(event) => {
              setSought(event.target.value);
            }}
            className="min-h-10 w-64 rounded-md border border-muted/50 bg-paper px-3"
          />
        </div>
      </div>
      <Tabs.Root
        value={tab}
        onValueChange={(next) => {
          setParams({ tab: next });
        }}
        className="mt-3"
      >
        <Tabs.List
          aria-label={say('guide-page.parts-of-the-guide')}
          className="flex flex-wrap gap-6 border-b border-ink"
        >
          {TABS().map(([value, name]) => (
            <Tabs.Trigger
              key={value}
              value={value}
              className="border-b-[3px] border-transparent pt-2 pb-1.5 text-muted data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="rules">
          <Rules chosen={rule} has={has} />
        </Tabs.Content>
        <Tabs.Content value="cuts">
          <Cuts cuts={guide.data.cuts} chosen={params.get('cut')} has={has} />
        </Tabs.Content>
        <Tabs.Content value="schools">
          <Schools guide={guide.data} has={has} />
        </Tabs.Content>
        <Tabs.Content value="systems">
          <Systems guide={guide.data} has={has} />
        </Tabs.Content>
        <Tabs.Content value="species">
          <Species guide={guide.data} has={has} />
        </Tabs.Content>
        <Tabs.Content value="counted">
          <CountedKinds guide={guide.data} has={has} />
        </Tabs.Content>
      </Tabs.Root>
    </div>
  );
}

type Has = (...texts: string[]) => boolean;

function Nothing() {
  const say = useSay();
  return (
    <p role="status" className="py-6 text-muted">
      {say('guide-page.nothing-here-answers-to-that')}
    </p>
  );
}

function Rules({ chosen, has }: { chosen: string | null; has: Has }) {
  const say = useSay();
  const target = useRef<HTMLLIElement>(null);
  const shown = useRules().filter((page) => has(page.name, page.sees, page.why, page.does));
  const there = shown.some((page) => page.id === chosen);
  useEffect(() => {
    if (there) target.current?.scrollIntoView({ block: 'center' });
  }, [chosen, there]);
  if (shown.length === 0) return <Nothing />;
  return (
    <ul className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
      {shown.map((page) => (
        <li
          key={page.id}
          ref={page.id === chosen ? target : undefined}
          className={`flex gap-4 border-b border-line py-4 ${page.id === chosen ? 'bg-lichen-wash' : ''}`}
        >
          <RuleFigure figure={page.figure} label={say('guide-page.name-drawn', { name: page.name })} />
          <div className="min-w-0 text-[14.5px]">
            <h2 className="text-[17px] font-bold">{page.name}</h2>
            <p>{page.sees}</p>
            <p className="mt-1 text-muted">{page.why}</p>
            <p className="mt-1">
              <b>{say('guide-page.do')}</b> {page.does}
            </p>
          </div>
        </li>
      ))}
    </ul>
  );
}

function Schools({ guide, has }: { guide: Guide; has: Has }) {
  const say = useSay();
  const usual = guide.schools.find((school) => school.id === 'classic');
  const lines = Object.keys(usual?.lines ?? {}).filter((line) => has(LINE_WORDS[line] ?? line, line));
  const value = (school: Guide['schools'][number], line: string) => {
    const number = school.lines[line] ?? 0;
    return school.switches.includes(line)
      ? say('guide-page.no', { number })
      : String(Math.round(number * 1000) / 1000);
  };
  const questions = guide.questions.filter((one) =>
    has(one.asks, one.usual, ...one.sides.flatMap((side) => [side.name, side.why])),
  );
  if (lines.length === 0 && questions.length === 0) return <Nothing />;
  return (
    <div className="overflow-x-auto">
      <Questions questions={questions} />
      <table className="mt-4 w-full text-[14.5px]">
        <caption className="pb-2 text-left text-muted">
          {say('guide-page.where-practised-growers-disagree-a')}
        </caption>
        <thead>
          <tr className="border-b border-ink text-left align-bottom">
            <th className="py-1.5 pr-4 font-normal text-muted">{say('guide-page.line')}</th>
            {guide.schools.map((school) => (
              <th key={school.id} className="w-[150px] py-1.5 pr-3">
                <span className="font-display text-[16px]">{school.name}</span>
                <span className="block text-[12.5px] font-normal text-muted">{school.why}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line} className="border-b border-line">
              <th className="py-1 pr-4 text-left font-normal">{LINE_WORDS[line] ?? line}</th>
              {guide.schools.map((school) => {
                const differs = usual !== undefined && school.lines[line] !== usual.lines[line];
                return (
                  <td key={school.id} className={`py-1 ${differs ? 'font-bold' : ''}`}>
                    {value(school, line)}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What good growers differ on, with what speaks for each side. */
function Questions({ questions }: { questions: Guide['questions'] }) {
  const say = useSay();
  if (questions.length === 0) return null;
  return (
    <section aria-label={say('questions.where-they-differ')} className="mt-4">
      <h2 className="text-[18px] font-bold">{say('questions.where-they-differ')}</h2>
      <p className="text-muted">{say('questions.in-guide')}</p>
      <ul className="mt-2 grid gap-x-8 sm:grid-cols-2">
        {questions.map((question) => (
          <li key={question.id} className="border-b border-line py-2 text-[14.5px]">
            <h3 className="font-semibold">{question.asks}</h3>
            {question.sides.map((side) => (
              <p key={side.name} className="mt-0.5">
                <b className="font-semibold">{side.name}.</b> {side.why}
              </p>
            ))}
            <p className="mt-0.5 text-muted">{question.usual}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Systems({ guide, has }: { guide: Guide; has: Has }) {
  const say = useSay();
  const shown = guide.systems.filter((system) =>
    has(system.name, system.mature, system.strengths, ...system.steps.map((step) => step.what)),
  );
  if (shown.length === 0) return <Nothing />;
  return (
    <ul>
      {shown.map((system) => (
        <li key={system.id} className="border-b border-line py-4">
          <h2 className="text-[18px] font-bold">{system.name}</h2>
          <p className="text-[14px] text-muted">
            {say('guide-page.heightm-m-tall-spreadm-m', {
              heightM: system.heightM,
              spreadM: system.spreadM,
              depthM: system.depthM,
              fullAtLeaf: system.fullAtLeaf,
              inRowM: system.inRowM,
              betweenRowsM: system.betweenRowsM,
              support: system.support,
              minutesATree: say('instruction.range', {
                low: String(system.minutesATree[0] ?? ''),
                high: String(system.minutesATree[1] ?? ''),
              }),
              cost: system.cost,
            })}
          </p>
          <ol className="mt-1.5 text-[14.5px]">
            {system.steps.map((step) => (
              <li key={step.leaf}>
                <b>
                  {step.leaf === 0
                    ? say('guide-page.planting')
                    : say('guide-page.leaf-leaf', { leaf: step.leaf })}
                  :
                </b>{' '}
                {step.what}
              </li>
            ))}
            <li>
              <b>{say('guide-page.full')}</b> {system.mature}
            </li>
          </ol>
          <p className="mt-1 text-[14px] text-muted">
            {system.strengths} {system.risks}
          </p>
        </li>
      ))}
    </ul>
  );
}

/** Bushes, cane rows and vines: one well kept, how many canes or nodes stay, the works of the year; then what to look for. */
function CountedKinds({ guide, has }: { guide: Guide; has: Has }) {
  const say = useSay();
  const shown = guide.counted.filter((one) => has(one.name, one.form, ...one.facts));
  const rules = guide.countedRules.filter((one) => has(one.name, one.why));
  if (shown.length === 0 && rules.length === 0) return <Nothing />;
  return (
    <>
      <p className="mt-3 text-[14px] text-muted">{say('guide-page.days-at-45')}</p>
      <ul className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
        {shown.map((one) => (
          <li key={one.id} className="flex gap-4 border-b border-line py-4 text-[14.5px] max-sm:flex-col">
            <div
              role="img"
              aria-label={say('guide-page.name-drawn', { name: one.name })}
              className="w-36 shrink-0 self-start bg-sky/50 p-2 [&_svg]:h-auto [&_svg]:max-h-40 [&_svg]:w-full"
              dangerouslySetInnerHTML={{ __html: one.drawing }}
            />
            <div className="min-w-0">
              <h2 className="text-[18px] font-bold">{one.name}</h2>
              {one.facts.map((fact) => (
                <p key={fact}>{fact}</p>
              ))}
              <ul className="mt-1 text-[13.5px] text-muted">
                {one.calendar.map((work) => (
                  <li key={work}>{work}</li>
                ))}
              </ul>
              <details className="mt-1 text-[13.5px]">
                <summary className="text-muted">{say('guide-page.season-by-season')}</summary>
                <Phases phases={one.phases} />
              </details>
            </div>
          </li>
        ))}
      </ul>
      {rules.length > 0 && (
        <section aria-labelledby="counted-rules" className="mt-6">
          <h2 id="counted-rules" className="text-[20px] font-bold">
            {say('guide-page.what-to-look-for')}
          </h2>
          <dl className="grid grid-cols-2 gap-x-8 text-[14.5px] max-md:grid-cols-1">
            {rules.map((rule) => (
              <div key={rule.id} className="border-b border-line py-2">
                <dt className="font-semibold">{rule.name}</dt>
                <dd className="text-muted">{rule.why}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
    </>
  );
}

function Species({ guide, has }: { guide: Guide; has: Has }) {
  const say = useSay();
  const shown = guide.species.filter((one) => has(one.name, one.kind, ...one.cautions));
  if (shown.length === 0) return <Nothing />;
  const range = (values: number[] | undefined) => (values ?? []).join('–');
  return (
    <ul className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
      {shown.map((one) => (
        <li key={one.id} className="border-b border-line py-4 text-[14.5px]">
          <h2 className="text-[18px] font-bold">{one.name}</h2>
          <p>
            {say('guide-page.good-fruiting-shoot-range-cm', {
              range: range(one.idealLengthCm),
              range2: range(one.idealDiameterMm),
              spurAgeMostY: one.spurAgeMostY,
              shareAYear: percent(one.shareAYear),
              woodShare: percent(one.woodShare),
              bigCuts: one.bigCuts,
            })}
          </p>
          <p>
            {say('guide-page.growth-wanted-young-range-cm', {
              range: range(one.youngGrowthCm),
              range2: range(one.bearingGrowthCm),
              part:
                one.thinningCm > 0
                  ? say('guide-page.thin-to-a-fruit-every', { thinningCm: one.thinningCm })
                  : '',
              coldC: one.coldC,
            })}
          </p>
          <Phases phases={one.phases} />
          {one.cautions.map((caution) => (
            <p key={caution} className="mt-1 text-[13.5px] font-semibold text-lichen">
              {caution}
            </p>
          ))}
        </li>
      ))}
    </ul>
  );
}

/** Whether each phase of the year suits its cut, and why. */
function Phases({ phases }: { phases: Guide['species'][number]['phases'] }) {
  return (
    <ul className="mt-1 text-[13.5px] text-muted">
      {phases.map((phase) => (
        <li key={phase.phase}>
          <b className="text-ink">
            {term(phase.phase)}: {VERDICTS[phase.verdict] ?? phase.verdict}.
          </b>{' '}
          {phase.reason}
        </li>
      ))}
    </ul>
  );
}
