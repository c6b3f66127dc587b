import { useRuleNames } from '../guide/useRules';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { answer, api, type LightLayer, type LimbLine, type TreePage } from '../api/client';
import { keyOf, limbOf } from '../api/marks';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { percent } from '../ui/words';
import type { Work } from './useWork';

interface Props {
  id: number;
  limb: string;
  page: TreePage;
  light: LightLayer | undefined;
  work: Work;
  onClose: () => void;
  onSelect: (limb: string) => void;
}

const compass = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];

/** The selected limb: what it is, its numbers, what is wrong with it, and what each possible cut would do. */
export function LimbPanel({ id, limb, page, light, work, onClose, onSelect }: Props) {
  const ruleName = useRuleNames();
  const line = page.limbs.find((one) => one.id === limb);
  const children = page.limbs.filter((one) => one.parent === limb);
  const findings = page.reading.findings.filter((finding) =>
    finding.limbs.some((one) => one.split('/')[0] === limb),
  );
  const others = work.marks.filter((mark) => limbOf(mark) !== limb);
  const options = useQuery({
    queryKey: ['options', id, limb, others, work.decisions.school],
    queryFn: () =>
      answer(
        api.POST('/api/trees/{id}/limbs/{limb}/options', {
          params: { path: { id, limb } },
          body: { ...work.decisions, marks: others },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  return (
    <section className="min-h-0 flex-1 overflow-auto" aria-label={`Limb ${limb}`}>
      <div className="flex items-start justify-between gap-3 px-5 pt-3">
        <div>
          <h2 className="text-[20px] font-bold">{limb === 'trunk' ? 'The leader' : `Limb ${limb}`}</h2>
          {line && <p className="text-[14px] text-muted">{describe(line)}</p>}
        </div>
        <Button onClick={onClose} aria-label="Back to the lists">
          Back
        </Button>
      </div>
      {line && <Numbers line={line} />}
      <Beyond limb={limb} page={page} light={light} />
      {findings.length > 0 && (
        <ul className="mt-3 border-t border-line">
          {findings.map((finding) => (
            <li key={finding.rule + finding.reason} className="border-b border-line px-5 py-1.5 text-[14px]">
              <b>{ruleName(finding.rule)}.</b> {finding.reason}
            </li>
          ))}
        </ul>
      )}
      <h3 className="px-5 pt-3 pb-1 text-[13.5px] font-semibold text-muted">
        What could be done, and what each would do
      </h3>
      {options.isPending && <p className="px-5 text-muted">Trying each cut…</p>}
      {options.isError && <Failed error={options.error} />}
      {options.data?.length === 0 && <p className="px-5 text-muted">Nothing sensible can be cut here.</p>}
      <ul>
        {(options.data ?? []).map((option) => {
          const key = keyOf(option.mark);
          const on = work.marks.some((mark) => keyOf(mark) === key && mark.toLimb === option.mark.toLimb);
          const lightChange = option.shadeBefore - option.shadeAfter;
          return (
            <li
              key={key + (option.mark.toLimb ?? '')}
              className={`flex items-start gap-3 border-b border-line px-5 py-2 ${on ? 'bg-tape-wash' : ''}`}
            >
              <div className="min-w-0 flex-1 text-[14px]">
                <b>{option.title}</b>
                <p className="text-[13px] text-muted">{option.place}</p>
                <p className="text-[13px]">
                  {option.numbers}. Takes {percent(option.woodShare)} of the small wood,{' '}
                  {percent(option.flowerShare)} of the flower buds
                  {Math.abs(lightChange) >= 0.005
                    ? `; shade ${percent(option.shadeBefore)} → ${percent(option.shadeAfter)}`
                    : '; light stays as it is'}
                  .{option.answer ? ` ${option.answer}` : ''}
                </p>
              </div>
              <Button
                weight={on ? 'ink' : 'plain'}
                aria-pressed={on}
                onClick={() => {
                  if (on) work.unmark(key);
                  else work.take(option.mark);
                }}
              >
                {on ? 'Marked' : 'Mark'}
              </Button>
            </li>
          );
        })}
      </ul>
      {children.length > 0 && (
        <p className="px-5 py-3 text-[14px] text-muted">
          It carries{' '}
          {children.map((child) => (
            <button
              key={child.id}
              type="button"
              className="mr-2 font-semibold text-ink underline underline-offset-4"
              onClick={() => {
                onSelect(child.id);
              }}
            >
              limb {child.id}
            </button>
          ))}
        </p>
      )}
    </section>
  );
}

/** What hangs on the limb at harvest, and whose light it takes. */
function Beyond({ limb, page, light }: { limb: string; page: TreePage; light: LightLayer | undefined }) {
  const load = page.reading.harvest.find((one) => one.limb === limb);
  const shade = light?.shades.find((one) => one.limb === limb);
  const from = (shade?.fromLimbs ?? []).slice(0, 3);
  if ((!load || load.fruits < 1) && from.length === 0) {
    return null;
  }
  return (
    <ul className="mt-2.5 px-5 text-[13.5px]">
      {load && load.fruits >= 1 && (
        <li>
          <b>At harvest</b> it carries {load.fruit_kg} kg ({load.fruits} fruits); its tip comes from{' '}
          {Math.round(load.tipNow_cm)} to {Math.round(load.tipAtHarvest_cm)} cm
          {load.breakRisk >= 0.02 ? `; ${percent(load.breakRisk)} to break at the union` : ''}.
        </li>
      )}
      {from.length > 0 && (
        <li>
          <b>It shades</b>{' '}
          {from
            .map(
              (one) => `${one.limb === 'trunk' ? 'the leader' : `limb ${one.limb}`} by ${percent(one.light)}`,
            )
            .join(', ')}
          .
        </li>
      )}
    </ul>
  );
}

function describe(line: LimbLine): string {
  const side = compass[Math.round(line.bearingDeg / 45) % 8] ?? '';
  const from =
    line.parent === 'trunk' ? `the trunk at ${line.atCm} cm` : `limb ${line.parent}, ${line.atCm} cm out`;
  const how = line.conditions.length > 0 ? `, ${line.conditions.join(' and ')}` : '';
  return `${line.role.replace('-', ' ')}${how}, ${line.age} years, to the ${side} from ${from}${line.note ? `. ${line.note}` : ''}`;
}

function Numbers({ line }: { line: LimbLine }) {
  const facts: [string, ReactNode][] = [
    ['Thickness', `${line.diameterMm} mm`],
    ['Against parent', line.ratio.toFixed(2)],
    ['Length', `${line.lengthCm} cm`],
    ['Last growth', `${line.lastGrowthCm} cm`],
    ['Angle', `${line.angleDeg}°`],
    ['Light', line.light == null ? 'no fruiting wood' : percent(line.light)],
    ['Shoots, spurs', `${line.shoots}, ${line.spurs}`],
    ['Flower buds', line.flowerBuds],
  ];
  return (
    <dl className="mt-2.5 grid grid-cols-4 gap-x-3 gap-y-2 px-5">
      {facts.map(([name, value]) => (
        <div key={name} className="min-w-0">
          <dt className="text-[12.5px] text-muted">{name}</dt>
          <dd className="text-[14.5px] leading-tight font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
