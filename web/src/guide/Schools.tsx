import type { Guide } from '../api/client';
import { useSay } from '../text/say';
import { LINE_WORDS } from '../ui/words';
import { Nothing } from './Nothing';
import type { Has } from './has';

/** The lines of all schools side by side, and the questions on which they differ. */
export function Schools({ guide, has }: { guide: Guide; has: Has }) {
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
