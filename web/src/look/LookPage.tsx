import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { answer, api } from '../api/client';
import type { components } from '../api/schema';
import { useMayChange } from '../people/who';
import { useDraft } from '../survey/draft';
import { byField, formFrom, surveyFrom, type LimbRow, type SurveyForm } from '../survey/form';
import { TreeShaper } from '../survey/TreeShaper';
import { usePreview } from '../survey/usePreview';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { readNumber } from '../ui/numbers';
import { useSettled } from '../ui/useSettled';
import { useUndoKeys } from '../ui/useUndoKeys';
import { KeepTree } from './KeepTree';
import { LimbFacts } from './LimbFacts';
import { LookFacts } from './LookFacts';
import { LookPlan } from './LookPlan';

type Assessment = components['schemas']['Assessment'];

/** The draft of the one tree that has no place yet. */
const NO_PLACE = 0;
const ASK_AFTER_MS = 700;
const USUAL_LEAF = 6;
const FIRST: SurveyForm = {
  ...formFrom({ format: 'umbel-survey/1', tree: {}, trunk: {}, limbs: [] }),
  species: 'apple',
  system: 'tall-spindle',
  leaf: String(USUAL_LEAF),
};

/** One tree looked at before it has a place anywhere: begun from a typical one, pulled into shape, and answered at once. */
export function LookPage() {
  const say = useSay();
  const draft = useDraft(NO_PLACE, FIRST);
  const { form } = draft;
  const [chosen, setChosen] = useState<string | null>(null);
  const [pointed, setPointed] = useState<string | null>(null);
  // limbs as the typical tree brought them: until one is changed, another kind brings others
  const [brought, setBrought] = useState<LimbRow[] | null>(null);
  const mayChange = useMayChange();
  useUndoKeys(draft.undo, draft.redo);
  const change = (next: Partial<SurveyForm>) => {
    draft.change({ ...form, ...next });
  };

  const typical = useMutation({
    mutationFn: (of: SurveyForm) =>
      answer(
        api.GET('/api/survey/typical', {
          params: {
            query: {
              species: of.species,
              system: of.system,
              leaf: readNumber(of.leaf) ?? USUAL_LEAF,
              trunkMm: readNumber(of.trunkDiameter),
              heightCm: readNumber(of.trunkHeight),
            },
          },
        }),
      ),
    onSuccess: (survey, of) => {
      const begun = formFrom(survey);
      setBrought(begun.limbs);
      setChosen(null);
      draft.change({
        ...of,
        trunkDiameter: of.trunkDiameter || begun.trunkDiameter,
        trunkHeight: of.trunkHeight || begun.trunkHeight,
        inRow: of.inRow || begun.inRow,
        betweenRows: of.betweenRows || begun.betweenRows,
        limbs: begun.limbs,
      });
    },
  });
  const begin = typical.mutate;
  const first = useRef(form);
  useEffect(() => {
    if (first.current.limbs.length === 0) begin(first.current);
  }, [begin]);

  const preview = usePreview(form);
  const { drawing, errors, trouble, sound } = preview;
  const faults = byField(errors);
  const settled = useSettled(form, ASK_AFTER_MS);
  const asked = useQuery<Assessment>({
    queryKey: ['look', settled],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/assess', { body: { survey: surveyFrom(settled) }, signal })).then(
        // a tree's survey is answered as a tree's
        (said) => said as Assessment,
      ),
    enabled: settled.limbs.length > 0 && sound,
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: Infinity,
  });
  const untouched = form.limbs === brought;
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_430px] max-lg:h-auto max-lg:grid-cols-1">
      <div className="relative min-h-0 max-lg:h-[520px] max-sm:h-[430px]">
        {drawing ? (
          <TreeShaper
            form={form}
            drawing={drawing}
            chosen={chosen}
            onChoose={setChosen}
            pointed={pointed}
            change={(limbs) => {
              change({ limbs });
            }}
            label={say('survey-desk.the-tree-as-typed-so', { length: form.limbs.length })}
          />
        ) : (
          <p className="p-8 text-muted">{say('look.making')}</p>
        )}
        <div className="absolute top-3 right-3 flex gap-1.5">
          <Button onClick={draft.undo} disabled={!draft.canUndo} title={say('survey-desk.ctrl-z')}>
            {say('survey-desk.undo')}
          </Button>
          <Button onClick={draft.redo} disabled={!draft.canRedo} title={say('survey-desk.ctrl-shift-z')}>
            {say('survey-desk.redo')}
          </Button>
        </div>
      </div>
      <aside
        className="flex min-h-0 flex-col border-l border-line bg-paper max-lg:border-l-0"
        aria-label={say('look.title')}
      >
        <div className="min-h-0 flex-1 overflow-auto px-5 py-4">
          <h1 className="text-[24px] leading-tight font-bold">{say('look.title')}</h1>
          <p className="text-[14px] text-muted">{say('look.what-it-does')}</p>
          <LookFacts
            form={form}
            faults={faults}
            change={(next) => {
              const changed = { ...form, ...next };
              draft.change(changed);
              // a typical tree of another kind has another trunk; one that was typed stays
              if (untouched) begin(fresh(changed, next));
            }}
          />
          {!untouched && (
            <Button
              className="mt-2"
              disabled={typical.isPending}
              onClick={() => {
                begin({ ...form, trunkDiameter: '', trunkHeight: '' });
              }}
            >
              {typical.isPending ? say('survey-desk.making-typical') : say('look.begin-again')}
            </Button>
          )}
          {typical.isError && (
            <p role="alert" className="mt-2 text-[14px] text-lichen">
              {typical.error.message}
            </p>
          )}
          {trouble !== '' && form.limbs.length > 0 && (
            <div role="alert" className="mt-3 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14px]">
              {trouble}
              {errors.map((error) => (
                <p key={error.field + error.message}>{error.message}</p>
              ))}
            </div>
          )}
          <LimbFacts form={form} chosen={chosen} faults={faults} change={change} />
          <LookPlan
            asked={asked}
            onPoint={setPointed}
            onChoose={(limb) => {
              setChosen(form.limbs.find((one) => one.id === limb)?.key ?? null);
            }}
          />
        </div>
        {mayChange && (
          <KeepTree form={form} ready={sound && form.limbs.length > 0} onRefused={preview.refuse} />
        )}
      </aside>
    </div>
  );
}

/** The facts a typical tree is made from: what belongs to the kind before is left to the new kind, but for what was just typed. */
function fresh(form: SurveyForm, typed: Partial<SurveyForm>): SurveyForm {
  const another = typed.species !== undefined || typed.system !== undefined || typed.leaf !== undefined;
  return another ? { ...form, trunkDiameter: '', trunkHeight: '', inRow: '', betweenRows: '' } : form;
}
