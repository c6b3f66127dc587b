import { fixed } from '../ui/numbers';
import { term } from '../text/term';
import { say, useSay } from '../text/say';
import { useRuleNames } from '../guide/useRules';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { answer, api, type LightLayer, type LimbLine, type TreePage } from '../api/client';
import { keyOf, limbOf } from '../api/marks';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { percent } from '../ui/words';
import { OptionNumbers } from './OptionNumbers';
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
  const say = useSay();
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
    <section className="min-h-0 flex-1 overflow-auto" aria-label={say('limb-panel.limb-limb', { limb })}>
      <div className="flex items-start justify-between gap-3 px-5 pt-3">
        <div>
          <h2 className="text-[20px] font-bold">
            {limb === 'trunk' ? say('limb-panel.the-leader') : say('limb-panel.limb-limb', { limb })}
          </h2>
          {line && <p className="text-[14px] text-muted">{describe(line)}</p>}
        </div>
        <Button onClick={onClose} aria-label={say('limb-panel.back-to-the-lists')}>
          {say('limb-panel.back')}
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
        {say('limb-panel.what-could-be-done-and')}
      </h3>
      {options.isPending && <p className="px-5 text-muted">{say('limb-panel.trying-each-cut')}</p>}
      {options.isError && <Failed error={options.error} />}
      {options.data?.length === 0 && (
        <p className="px-5 text-muted">{say('limb-panel.nothing-sensible-can-be-cut')}</p>
      )}
      <ul>
        {(options.data ?? []).map((option) => {
          const key = keyOf(option.mark);
          const on = work.marks.some((mark) => keyOf(mark) === key && mark.toLimb === option.mark.toLimb);
          return (
            <li
              key={key + (option.mark.toLimb ?? '')}
              className={`flex items-start gap-3 border-b border-line px-5 py-2 ${on ? 'bg-tape-wash' : ''}`}
            >
              <div className="min-w-0 flex-1 text-[14px]">
                <b>{option.title}</b>
                <p className="text-[13px] text-muted">{option.place}</p>
                <p className="text-[13px]">
                  <OptionNumbers option={option} />
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
                {on ? say('limb-panel.marked') : say('limb-panel.mark')}
              </Button>
            </li>
          );
        })}
      </ul>
      {children.length > 0 && (
        <p className="px-5 py-3 text-[14px] text-muted">
          {say('limb-panel.it-carries')}{' '}
          {children.map((child) => (
            <button
              key={child.id}
              type="button"
              className="mr-2 font-semibold text-ink underline underline-offset-4"
              onClick={() => {
                onSelect(child.id);
              }}
            >
              {say('limb-panel.limb-id', { id: child.id })}
            </button>
          ))}
        </p>
      )}
    </section>
  );
}

/** What hangs on the limb at harvest, and whose light it takes. */
function Beyond({ limb, page, light }: { limb: string; page: TreePage; light: LightLayer | undefined }) {
  const say = useSay();
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
          <b>{say('limb-panel.at-harvest')}</b>{' '}
          {say('limb-panel.it-carries-fruitkg-kg-fruits', {
            fruitkg: load.fruit_kg,
            fruits: load.fruits,
            tipNowcm: Math.round(load.tipNow_cm),
            tipAtHarvestcm: Math.round(load.tipAtHarvest_cm),
            part:
              load.breakRisk >= 0.02
                ? say('limb-panel.breakrisk-to-break-at-the', { breakRisk: percent(load.breakRisk) })
                : '',
          })}
        </li>
      )}
      {from.length > 0 && (
        <li>
          <b>{say('limb-panel.it-shades')}</b>{' '}
          {from
            .map((one) =>
              say('limb-panel.part-by-light', {
                part:
                  one.limb === 'trunk'
                    ? say('limb-panel.the-leader-2')
                    : say('limb-panel.limb-limb-2', { limb: one.limb }),
                light: percent(one.light),
              }),
            )
            .join(', ')}
          .
        </li>
      )}
    </ul>
  );
}

function describe(line: LimbLine): string {
  const side = term(compass[Math.round(line.bearingDeg / 45) % 8] ?? '');
  const from =
    line.parent === 'trunk'
      ? say('limb-panel.the-trunk-at-atcm-cm', { atCm: line.atCm })
      : say('limb-panel.limb-parent-atcm-cm-out', { parent: line.parent, atCm: line.atCm });
  const how = line.conditions.length > 0 ? `, ${line.conditions.map(term).join(', ')}` : '';
  return say('limb-panel.role-how-age-years-to', {
    role: term(line.role),
    how,
    age: line.age,
    side,
    from,
    part: line.note ? `. ${line.note}` : '',
  });
}

function Numbers({ line }: { line: LimbLine }) {
  const say = useSay();
  const facts: [string, ReactNode][] = [
    [say('limb-panel.thickness'), say('limb-panel.diametermm-mm', { diameterMm: line.diameterMm })],
    [say('limb-panel.against-parent'), fixed(line.ratio, 2)],
    [say('limb-panel.length'), say('limb-panel.lengthcm-cm', { lengthCm: line.lengthCm })],
    [say('limb-panel.last-growth'), say('limb-panel.lastgrowthcm-cm', { lastGrowthCm: line.lastGrowthCm })],
    [say('limb-panel.angle'), `${line.angleDeg}°`],
    [say('limb-panel.light'), line.light == null ? say('limb-panel.no-fruiting-wood') : percent(line.light)],
    [say('limb-panel.shoots-spurs'), `${line.shoots}, ${line.spurs}`],
    [say('limb-panel.flower-buds'), line.flowerBuds],
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
