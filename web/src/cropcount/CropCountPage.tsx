import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { notReached, Problem } from '../api/problem';
import { keepForNoSignal } from '../field/keepForNoSignal';
import { useMayChange } from '../people/who';
import { ChipField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { FaultList } from '../ui/FaultList';
import { Failed, Loading } from '../ui/States';
import { useSettled } from '../ui/useSettled';
import {
  begun,
  complete,
  dropCount,
  enough,
  keepBlock,
  keepCount,
  keptBlock,
  keptCount,
  STAGES,
  typedAgain,
  type CountTyped,
} from './count';
import { KeptCounts } from './KeptCounts';
import { LimbLines } from './LimbLines';
import { Verdict } from './Verdict';
import { WaitingCounts } from './WaitingCounts';
import { sendCount, waitingCounts, type WaitingCount } from './waitingCounts';

const ASK_AFTER_MS = 400;
const HOW = {
  bloom: 'crop-count.how-bloom',
  set: 'crop-count.how-set',
  fruit: 'crop-count.how-fruit',
} as const;
const NAMES = { bloom: 'crop-count.bloom', set: 'crop-count.set', fruit: 'crop-count.fruit' } as const;

/** Flowers or fruits counted on a few marked limbs of a block: what its trees will carry, and what is to be done about it. */
export function CropCountPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const block = useQuery({
    queryKey: ['count-block', id],
    queryFn: async () => {
      try {
        const found = (await answer(api.GET('/api/blocks'))).find((one) => one.id === id);
        if (found) keepBlock(found);
        return found ?? null;
      } catch (error) {
        const kept = notReached(error) ? keptBlock(id) : null;
        if (!kept) throw error;
        return kept;
      }
    },
    networkMode: 'always',
    retry: false,
  });
  useEffect(keepForNoSignal, []);
  if (block.isPending) return <Loading what={say('block-page.finding-the-block')} />;
  if (block.isError) return <Failed error={block.error} retry={() => void block.refetch()} />;
  if (!block.data) return <Failed error={new Error(say('block-page.no-such-block'))} />;
  return <Counting key={id} id={id} name={block.data.name} timeZone={block.data.timeZone} />;
}

function Counting({ id, name, timeZone }: { id: number; name: string; timeZone: string }) {
  const say = useSay();
  const queries = useQueryClient();
  const mayChange = useMayChange();
  const [typed, setTyped] = useState<CountTyped>(() => keptCount(id));
  const change = (next: CountTyped) => {
    setTyped(next);
    keepCount(id, next);
  };
  const [pay, setPay] = useState<{ wagePerHour?: number; fruitsPerHour?: number }>({});
  const asked = useMemo(() => ({ stage: typed.stage, limbs: complete(typed), ...pay }), [typed, pay]);
  const settled = useSettled(asked, ASK_AFTER_MS);
  const said = useQuery({
    queryKey: ['crop-count', id, settled],
    enabled: settled.limbs.length > 1,
    queryFn: () =>
      answer(api.POST('/api/blocks/{id}/crop-counts/preview', { params: { path: { id } }, body: settled })),
    networkMode: 'always',
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: Infinity,
  });
  const [saved, setSaved] = useState(false);
  const save = useMutation({
    mutationFn: async (waiting: WaitingCount) => {
      try {
        await sendCount(waiting);
        return 'saved';
      } catch (error) {
        if (!notReached(error)) throw error;
        waitingCounts.layBy(waiting);
        return 'waits';
      }
    },
    networkMode: 'always',
    onSuccess: (state) => {
      dropCount(id);
      setTyped(begun(typed.stage));
      setSaved(state === 'saved');
      if (state === 'saved') void queries.invalidateQueries();
    },
  });
  useEffect(() => {
    if (complete(typed).length > 0) setSaved(false);
  }, [typed]);
  return (
    <div className="mx-auto grid max-w-[1080px] grid-cols-[minmax(0,440px)_minmax(0,1fr)] gap-x-10 gap-y-4 px-6 py-6 max-lg:grid-cols-1 max-sm:px-4">
      <div>
        <Link to={`/blocks/${id}`} className="text-[14px] font-semibold underline underline-offset-4">
          {name}
        </Link>
        <h1 className="text-[26px] leading-tight font-bold">{say('crop-count.title')}</h1>
        <p className="mt-1 text-[14.5px] text-muted">{say(HOW[typed.stage])}</p>
        <div className="mt-3">
          <ChipField
            name={say('crop-count.stage')}
            value={typed.stage}
            options={STAGES.map((stage) => [stage, say(NAMES[stage])] as const)}
            set={(stage) => {
              change({ ...typed, stage: STAGES.find((one) => one === stage) ?? typed.stage });
            }}
          />
        </div>
        <LimbLines typed={typed} change={change} />
        {save.isError && <Refused error={save.error} />}
        {mayChange && (
          <div className="mt-3 flex items-center gap-3">
            <Button
              weight="ink"
              className="min-h-11"
              disabled={!enough(typed) || save.isPending}
              onClick={() => {
                save.mutate({
                  block: id,
                  refused: '',
                  count: {
                    countedOn: new Date().toLocaleDateString('sv-SE', { timeZone }),
                    stage: typed.stage,
                    limbs: complete(typed),
                    clientId: typed.clientId,
                  },
                });
              }}
            >
              {say('crop-count.save')}
            </Button>
            <span role="status" className="text-[14px] text-muted">
              {saved ? say('crop-count.saved') : say('crop-count.on-this-device')}
            </span>
          </div>
        )}
      </div>
      <div className="min-w-0" aria-live="polite" aria-busy={said.isFetching}>
        <WaitingCounts
          id={id}
          mend={({ count }) => {
            change(typedAgain(count));
          }}
        />
        {said.isError &&
          (notReached(said.error) ? (
            <p className="border-l-4 border-line px-4 py-2 text-[15px] text-muted">
              {say('crop-count.answer-with-signal')}
            </p>
          ) : (
            <Refused error={said.error} />
          ))}
        {said.data && !said.isError && settled.limbs.length > 1 ? (
          <Verdict said={said.data} pay={pay} onPay={setPay} />
        ) : (
          !said.isError && (
            <p className="border-l-4 border-line px-4 py-2 text-[15px] text-muted">
              {say('crop-count.two-limbs')}
            </p>
          )
        )}
        <KeptCounts id={id} mayChange={mayChange} />
      </div>
    </div>
  );
}

/** What was refused, with the fields that are wrong. */
function Refused({ error }: { error: Error }) {
  const errors = error instanceof Problem ? error.errors : [];
  return (
    <div role="alert" className="mt-2 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14px]">
      {errors.length > 0 ? <FaultList errors={errors} /> : error.message}
    </div>
  );
}
