import type { UseQueryResult } from '@tanstack/react-query';
import type { components } from '../api/schema';
import { useSay } from '../text/say';
import { Failed } from '../ui/States';
import { minutes, percent } from '../ui/words';

type Assessment = components['schemas']['Assessment'];

/** What is to be done on the tree, in the order of work, each with its reason. */
export function LookPlan({
  asked,
  onPoint,
  onChoose,
}: {
  asked: UseQueryResult<Assessment>;
  onPoint: (limb: string | null) => void;
  onChoose: (limb: string) => void;
}) {
  const say = useSay();
  if (asked.isError) return <Failed error={asked.error} retry={() => void asked.refetch()} />;
  const plan = asked.data?.plans[0];
  if (!asked.data || !plan) return <p className="mt-4 text-muted">{say('look.thinking')}</p>;
  const steps = plan.steps.filter((step) => step.year === 0);
  const { totals } = plan;
  return (
    <section
      className="mt-4"
      aria-label={say('look.what-to-do')}
      aria-live="polite"
      aria-busy={asked.isFetching}
    >
      <h2 className="border-b-2 border-ink pb-1 text-[18px] font-bold">
        {say('look.what-to-do')}
        {asked.isFetching && (
          <span className="ml-2 text-[13px] font-normal text-muted">{say('look.thinking')}</span>
        )}
      </h2>
      {steps.length === 0 ? (
        <p className="py-2">{say('plan-panel.nothing-is-worth-cutting-this')}</p>
      ) : (
        <>
          <p className="pt-1 text-[13.5px] text-muted">
            {say('look.totals', {
              cuts: totals.cuts,
              minutes: minutes(totals.minutes),
              wood: percent(totals.woodShare),
              before: percent(asked.data.reading.light.underFruitLight),
              after: percent(totals.lightAfter.underFruitLight),
            })}
          </p>
          <ol>
            {steps.map((step) => {
              const limb = step.limb.split('/')[0] ?? '';
              return (
                <li key={`${step.order}`} className="border-b border-line">
                  <button
                    type="button"
                    className="flex w-full items-start gap-3 py-1.5 text-left hover:bg-sand"
                    onMouseEnter={() => {
                      onPoint(limb);
                    }}
                    onMouseLeave={() => {
                      onPoint(null);
                    }}
                    onClick={() => {
                      onChoose(limb);
                    }}
                  >
                    <span className="mt-0.5 grid h-6 min-w-8 place-items-center border-2 border-tape px-1 text-[13px] font-semibold text-tape">
                      {step.order}
                    </span>
                    <span className="min-w-0 flex-1">
                      <b className="block leading-snug">{step.title}</b>
                      <span className="block text-[13.5px]">{step.reason}</span>
                      <span className="block text-[13px] text-muted">{step.place}</span>
                    </span>
                  </button>
                </li>
              );
            })}
          </ol>
        </>
      )}
      <p className="pt-2 text-[13px] text-muted">{asked.data.timing.reasons[0]}</p>
    </section>
  );
}
