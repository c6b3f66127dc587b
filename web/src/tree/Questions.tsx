import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Decisions, type Guide } from '../api/client';
import { useGuide } from '../guide/useGuide';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { inForce, settingLine } from './schoolLine';
import { TwoOutcomes } from './TwoOutcomes';

type Question = Guide['questions'][number];
type Side = Question['sides'][number];

interface Props {
  id: number;
  species: string;
  decisions: Decisions;
  onChange: (next: Decisions) => void;
  onPoint: (limbs: string[]) => void;
}

/** The questions on which good growers differ, asked of the tree at hand: the side in force, and what another would change. */
export function Questions({ id, species, decisions, onChange, onPoint }: Props) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const guide = useGuide(open);
  const school = guide.data?.schools.find((one) => one.id === (decisions.school ?? 'classic'));
  const asked = (guide.data?.questions ?? []).filter(
    (one) => one.kinds.length === 0 || one.kinds.includes(species),
  );
  return (
    <details
      className="mx-5 mt-3 border-t border-line pt-2 text-[14px]"
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary className="text-[13.5px] font-semibold">{say('questions.where-they-differ')}</summary>
      <p className="mt-1 text-[13px] text-muted">{say('questions.told')}</p>
      {open && guide.isPending && <Loading what={say('questions.loading')} />}
      {guide.isError && <Failed error={guide.error} />}
      <ul>
        {asked.map((question) => (
          <li key={question.id} className="border-b border-line py-2">
            <OneQuestion
              id={id}
              question={question}
              value={question.line ? inForce(decisions, school, question.line) : undefined}
              decisions={decisions}
              onChange={onChange}
              onPoint={onPoint}
            />
          </li>
        ))}
      </ul>
    </details>
  );
}

function OneQuestion({
  id,
  question,
  value,
  decisions,
  onChange,
  onPoint,
}: {
  id: number;
  question: Question;
  value: number | undefined;
  decisions: Decisions;
  onChange: (next: Decisions) => void;
  onPoint: (limbs: string[]) => void;
}) {
  const say = useSay();
  const [tried, setTried] = useState<Side | null>(null);
  const here = question.sides.find((side) => side.value === value && value !== undefined);
  return (
    <details>
      <summary>{question.asks}</summary>
      <ul className="mt-1 ml-4">
        {question.sides.map((side) => (
          <li key={side.name} className="py-1">
            <b>{side.name}.</b> {side.why}
            {side === here && <span className="ml-1 text-moss">({say('questions.here')})</span>}
            {question.line && side !== here && side.value != null && (
              <button
                type="button"
                className="ml-1 text-[13px] font-semibold underline underline-offset-4"
                onClick={() => {
                  setTried(tried === side ? null : side);
                }}
                aria-expanded={tried === side}
              >
                {say('questions.try')}
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="ml-4 text-[13px] text-muted">
        {question.usual}
        {question.line && !here && value !== undefined && (
          <> {say('questions.own', { value: Math.round(value * 100) / 100 })}</>
        )}
      </p>
      {tried?.value != null && question.line && (
        <OtherSide
          id={id}
          line={question.line}
          side={tried}
          value={tried.value}
          here={here?.name ?? say('questions.here')}
          decisions={decisions}
          onChange={onChange}
          onPoint={onPoint}
        />
      )}
    </details>
  );
}

/** What the other side of a question would change on this tree. */
function OtherSide({
  id,
  line,
  side,
  value,
  here,
  decisions,
  onChange,
  onPoint,
}: {
  id: number;
  line: string;
  side: Side;
  value: number;
  here: string;
  decisions: Decisions;
  onChange: (next: Decisions) => void;
  onPoint: (limbs: string[]) => void;
}) {
  const say = useSay();
  const body: Decisions = { ...decisions, marks: [] };
  const beside = useQuery({
    queryKey: ['beside-line', id, body, line, value],
    queryFn: () =>
      answer(
        api.POST('/api/trees/{id}/schools/line', {
          params: { path: { id }, query: { line, value } },
          body,
        }),
      ),
    staleTime: Infinity,
  });
  if (beside.isError) return <Failed error={beside.error} />;
  if (!beside.data) return <Loading what={say('questions.asking')} />;
  return (
    <div className="mt-1 ml-4">
      <TwoOutcomes beside={beside.data} mine={here} other={side.name} onPoint={onPoint} />
      <Button
        className="mt-1.5 px-2! text-[13px]!"
        onClick={() => {
          onChange(settingLine(decisions, line, value));
        }}
      >
        {say('questions.take')}
      </Button>
    </div>
  );
}
