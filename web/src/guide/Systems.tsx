import type { Guide } from '../api/client';
import { useSay } from '../text/say';
import { FirstYears } from './FirstYears';
import { Nothing } from './Nothing';
import type { Has } from './has';

/** Training systems: how a full tree stands, and what is done in each of its first years. */
export function Systems({ guide, has }: { guide: Guide; has: Has }) {
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
          <FirstYears system={system.id} name={system.name} />
        </li>
      ))}
    </ul>
  );
}
