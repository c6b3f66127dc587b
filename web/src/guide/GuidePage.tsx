import { useQuery } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { answer, api, type Guide } from '../api/client';
import { Failed, Loading } from '../ui/States';
import { LINE_WORDS, percent } from '../ui/words';
import { RuleFigure } from './RuleFigure';
import { useRules } from './useRules';

const TABS = [
  ['rules', 'What to look for'],
  ['schools', 'Schools side by side'],
  ['systems', 'Training systems'],
  ['species', 'Kinds of tree'],
] as const;

const VERDICTS: Record<string, string> = {
  not: 'not now',
  allowed: 'allowed',
  better: 'better',
  best: 'best',
};

/** What the program goes by, for reading: findings drawn, schools, systems, kinds of tree. */
export function GuidePage() {
  const [params, setParams] = useSearchParams();
  const rule = params.get('rule');
  const tab = params.get('tab') ?? 'rules';
  const [sought, setSought] = useState('');
  const guide = useQuery({
    queryKey: ['guide'],
    queryFn: () => answer(api.GET('/api/guide')),
    staleTime: Infinity,
  });
  if (guide.isPending) return <Loading what="Opening the guide…" />;
  if (guide.isError) return <Failed error={guide.error} retry={() => void guide.refetch()} />;
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const has = (...texts: string[]) => words.every((word) => texts.join(' ').toLowerCase().includes(word));
  return (
    <div className="mx-auto max-w-[1080px] px-6 py-6">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-[28px] font-bold">Guide</h1>
        <div>
          <label className="sr-only" htmlFor="seek-guide">
            Search the guide
          </label>
          <input
            id="seek-guide"
            type="search"
            placeholder="Search the guide"
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
        <Tabs.List aria-label="Parts of the guide" className="flex flex-wrap gap-6 border-b border-ink">
          {TABS.map(([value, name]) => (
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
        <Tabs.Content value="schools">
          <Schools guide={guide.data} has={has} />
        </Tabs.Content>
        <Tabs.Content value="systems">
          <Systems guide={guide.data} has={has} />
        </Tabs.Content>
        <Tabs.Content value="species">
          <Species guide={guide.data} has={has} />
        </Tabs.Content>
      </Tabs.Root>
    </div>
  );
}

type Has = (...texts: string[]) => boolean;

function Nothing() {
  return (
    <p role="status" className="py-6 text-muted">
      Nothing here answers to that. Try another word, or another part of the guide.
    </p>
  );
}

function Rules({ chosen, has }: { chosen: string | null; has: Has }) {
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
          <RuleFigure figure={page.figure} label={`${page.name}, drawn`} />
          <div className="min-w-0 text-[14.5px]">
            <h2 className="text-[17px] font-bold">{page.name}</h2>
            <p>{page.sees}</p>
            <p className="mt-1 text-muted">{page.why}</p>
            <p className="mt-1">
              <b>Do:</b> {page.does}
            </p>
          </div>
        </li>
      ))}
    </ul>
  );
}

function Schools({ guide, has }: { guide: Guide; has: Has }) {
  const usual = guide.schools.find((school) => school.id === 'classic');
  const lines = Object.keys(usual?.lines ?? {}).filter((line) => has(LINE_WORDS[line] ?? line, line));
  const value = (school: Guide['schools'][number], line: string) => {
    const number = school.lines[line] ?? 0;
    return school.switches.includes(line)
      ? number === 1
        ? 'yes'
        : 'no'
      : String(Math.round(number * 1000) / 1000);
  };
  if (lines.length === 0) return <Nothing />;
  return (
    <div className="overflow-x-auto">
      <table className="mt-4 w-full text-[14.5px]">
        <caption className="pb-2 text-left text-muted">
          Where practised growers disagree, a school says where its findings begin and what it prefers. What
          differs from the classic school is set bold.
        </caption>
        <thead>
          <tr className="border-b border-ink text-left align-bottom">
            <th className="py-1.5 pr-4 font-normal text-muted">Line</th>
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

function Systems({ guide, has }: { guide: Guide; has: Has }) {
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
            {system.heightM} m tall, {system.spreadM} m wide, {system.depthM} m deep, full in leaf{' '}
            {system.fullAtLeaf}; {system.inRowM} × {system.betweenRowsM} m; {system.support};{' '}
            {system.minutesATree.join(' to ')} minutes a tree; cost {system.cost}.
          </p>
          <ol className="mt-1.5 text-[14.5px]">
            {system.steps.map((step) => (
              <li key={step.leaf}>
                <b>{step.leaf === 0 ? 'Planting' : `Leaf ${step.leaf}`}:</b> {step.what}
              </li>
            ))}
            <li>
              <b>Full:</b> {system.mature}
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

function Species({ guide, has }: { guide: Guide; has: Has }) {
  const shown = guide.species.filter((one) => has(one.name, one.kind, ...one.cautions));
  if (shown.length === 0) return <Nothing />;
  const range = (values: number[] | undefined) => (values ?? []).join('–');
  return (
    <ul className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
      {shown.map((one) => (
        <li key={one.id} className="border-b border-line py-4 text-[14.5px]">
          <h2 className="text-[18px] font-bold">{one.name}</h2>
          <p>
            Good fruiting shoot {range(one.idealLengthCm)} cm long, {range(one.idealDiameterMm)} mm thick.
            Spurs to {one.spurAgeMostY} years; renew {percent(one.shareAYear)} a year. At most{' '}
            {percent(one.woodShare)} of the small wood and {one.bigCuts} big cuts in a season.
          </p>
          <p>
            Growth wanted: young {range(one.youngGrowthCm)} cm, bearing {range(one.bearingGrowthCm)} cm.
            {one.thinningCm > 0 ? ` Thin to a fruit every ${one.thinningCm} cm.` : ''} Cut trees stand{' '}
            {one.coldC} °C.
          </p>
          <ul className="mt-1 text-[13.5px] text-muted">
            {one.phases.map((phase) => (
              <li key={phase.phase}>
                <b className="text-ink">
                  {phase.phase.replace('-', ' ')}: {VERDICTS[phase.verdict] ?? phase.verdict}.
                </b>{' '}
                {phase.reason}
              </li>
            ))}
          </ul>
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
