import type { Guide } from '../api/client';
import { paper } from '../api/paper';
import { useLanguage } from '../text/language';
import { useSay } from '../text/say';
import { Nothing } from './Nothing';
import { Phases } from './Phases';
import type { Has } from './has';

/** Kinds of tree: what is to be known of each when it is cut, and when that is. */
export function Species({ guide, has }: { guide: Guide; has: Has }) {
  const shown = guide.species.filter((one) => has(one.name, one.kind, ...one.facts, ...one.cautions));
  if (shown.length === 0) return <Nothing />;
  return (
    <ul className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
      {shown.map((one) => (
        <li key={one.id} className="border-b border-line py-4 text-[14.5px]">
          <h2 className="text-[18px] font-bold">{one.name}</h2>
          {one.facts.map((fact) => (
            <p key={fact}>{fact}</p>
          ))}
          <Phases phases={one.phases} />
          {one.cautions.map((caution) => (
            <p key={caution} className="mt-1 text-[13.5px] font-semibold text-lichen">
              {caution}
            </p>
          ))}
          <PocketCard kind={one.id} />
        </li>
      ))}
    </ul>
  );
}

/** Bushes, cane rows and vines: one well kept, how many canes or nodes stay, the works of the year; then what to look for. */
export function CountedKinds({ guide, has }: { guide: Guide; has: Has }) {
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
              <PocketCard kind={one.id} />
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

/** What is known of a kind on a page that fits a pocket. */
function PocketCard({ kind }: { kind: string }) {
  const say = useSay();
  const language = useLanguage();
  return (
    <a
      className="mt-1 inline-block text-[13.5px] font-semibold underline underline-offset-4"
      href={paper(`/api/guide/cards/${kind}`, language)}
    >
      {say('guide-page.pocket-card')}
    </a>
  );
}
