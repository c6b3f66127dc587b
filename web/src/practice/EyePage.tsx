import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { answer, api, type EyeAnswer, type EyeQuestion } from '../api/client';
import { keepForNoSignal } from '../field/keepForNoSignal';
import { useLanguage } from '../text/language';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { inField, singleKeysOn } from '../ui/singleKeys';
import { Failed, Loading } from '../ui/States';
import { RoundStart } from './RoundStart';
import { useCountdown } from './useCountdown';
import { bestWith, eyeRounds, keepRound, keptRound } from './eyeRounds';
import { sendPractised } from './sendPractised';

const SECONDS = 60;

/** A minute of small drawings: judged at a touch, answered at once, also where there is no signal. */
export function EyePage() {
  const say = useSay();
  const language = useLanguage();
  const queries = useQueryClient();
  const [round, setRound] = useState(0);
  const [answers, setAnswers] = useState<EyeAnswer[]>([]);
  const [left, setLeft] = useState<number | null>(null);
  const [chosen, setChosen] = useState<number | null>(null);
  const drawn = useQuery({
    queryKey: ['eye', language, round],
    queryFn: async () => {
      try {
        const fresh = await answer(api.GET('/api/practice/eye'));
        keepRound(language, fresh);
        return fresh;
      } catch (error) {
        const kept = keptRound(language);
        if (kept) return kept;
        throw error;
      }
    },
    networkMode: 'always',
    retry: false,
    staleTime: Infinity,
    gcTime: 0,
  });
  useEffect(keepForNoSignal, []);
  // the clock runs while a drawing is looked at, not while its answer is read
  useCountdown(left, setLeft, chosen === null);
  if (drawn.isError) return <Failed error={drawn.error} retry={() => void drawn.refetch()} />;
  if (!drawn.data) return <Loading what={say('eye.loading')} />;
  const questions = drawn.data;
  const at = chosen === null ? answers.length : answers.length - 1;
  const question = questions[at];
  const over = left !== null && chosen === null && (left === 0 || !question);
  const begin = () => {
    if (over) setRound(round + 1);
    setAnswers([]);
    setChosen(null);
    setLeft(SECONDS);
  };
  const finish = (round: EyeAnswer[]) => {
    if (round.length === 0) return;
    eyeRounds.layBy(round);
    void sendPractised().then(() => queries.invalidateQueries({ queryKey: ['practice-progress'] }));
  };
  if (left === null || over || !question) {
    return <Between over={over} answers={answers} questions={questions} begin={begin} finish={finish} />;
  }
  return (
    <Drawing
      key={at}
      question={question}
      left={left}
      chosen={chosen}
      choose={(option) => {
        setChosen(option);
        setAnswers([...answers, { skill: question.skill, right: option === question.right }]);
      }}
      next={() => {
        setChosen(null);
      }}
    />
  );
}

/** Before a round, and after it: how it went, and what was judged wrongly. */
function Between({
  over,
  answers,
  questions,
  begin,
  finish,
}: {
  over: boolean;
  answers: readonly EyeAnswer[];
  questions: readonly EyeQuestion[];
  begin: () => void;
  finish: (round: EyeAnswer[]) => void;
}) {
  const say = useSay();
  const right = answers.filter((one) => one.right).length;
  const [best, setBest] = useState(0);
  useEffect(() => {
    if (!over) return;
    setBest(bestWith(right));
    finish([...answers]);
    // once a round: what it is handed does not change while it is over
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [over]);
  const missed = questions.filter((_, i) => answers[i]?.right === false);
  return (
    <RoundStart
      title={over ? say('eye.over') : say('eye.title')}
      words={over ? say('drill.count', { right, of: answers.length, best }) : say('eye.what-it-is')}
      over={over}
      begin={begin}
    >
      {over && missed.length > 0 && (
        <section aria-labelledby="missed" className="mt-6">
          <h2 id="missed" className="border-b-2 border-ink pb-1 text-[20px] font-bold">
            {say('eye.missed')}
          </h2>
          <ul>
            {missed.map((one, i) => (
              <li key={i} className="flex items-center gap-4 border-b border-line py-2">
                <Figure question={one} className="w-32 shrink-0" />
                <div>
                  <p className="text-muted">{one.asks}</p>
                  <p>{one.why}</p>
                </div>
              </li>
            ))}
          </ul>
        </section>
      )}
    </RoundStart>
  );
}

/** One drawing with what it may be. */
function Drawing({
  question,
  left,
  chosen,
  choose,
  next,
}: {
  question: EyeQuestion;
  left: number;
  chosen: number | null;
  choose: (option: number) => void;
  next: () => void;
}) {
  const say = useSay();
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const option = Number(event.key) - 1;
      if (!singleKeysOn() || inField(event)) return;
      if (chosen === null && option >= 0 && option < question.options.length) choose(option);
    };
    window.addEventListener('keydown', pressed);
    return () => {
      window.removeEventListener('keydown', pressed);
    };
  });
  return (
    <div className="mx-auto max-w-[720px] px-6 py-5 max-sm:px-4" aria-live="polite">
      <p className="flex justify-between text-[14px] text-muted">
        <span>{question.name}</span>
        <span>{say('drill.seconds', { seconds: left })}</span>
      </p>
      <h1 className="text-[24px] leading-tight font-bold">{question.asks}</h1>
      <Figure question={question} className="mt-3" />
      <div
        className={`mt-4 grid gap-2 ${question.options.length === 3 && question.drawing === '' ? 'grid-cols-1' : 'grid-cols-2'}`}
      >
        {question.options.map((option, i) => (
          <button
            key={option}
            type="button"
            disabled={chosen !== null}
            onClick={() => {
              choose(i);
            }}
            className={`min-h-13 rounded-md border px-3 text-[17px] font-semibold first-letter:uppercase ${
              chosen === null
                ? 'border-ink hover:bg-sand'
                : i === question.right
                  ? 'border-moss bg-moss text-paper'
                  : i === chosen
                    ? 'border-lichen text-lichen'
                    : 'border-line text-muted'
            }`}
          >
            {option}
          </button>
        ))}
      </div>
      {chosen !== null && (
        <>
          <p className="pt-3 text-[17px]">
            <b className={chosen === question.right ? 'text-moss' : 'text-lichen'}>
              {chosen === question.right ? say('drill.right') : say('eye.wrong')}
            </b>{' '}
            {question.why}
          </p>
          <Button weight="ink" autoFocus className="mt-3 min-h-12 text-[16px]" onClick={next}>
            {say('eye.next')}
          </Button>
        </>
      )}
    </div>
  );
}

function Figure({ question, className }: { question: EyeQuestion; className: string }) {
  return question.drawing === '' ? null : (
    <div
      role="img"
      aria-label={question.asks}
      className={`bg-sand text-ink [&_svg]:mx-auto [&_svg]:h-auto [&_svg]:max-h-[340px] [&_svg]:w-full ${className}`}
      dangerouslySetInnerHTML={{ __html: question.drawing }}
    />
  );
}
