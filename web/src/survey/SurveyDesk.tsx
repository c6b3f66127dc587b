import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api, type SurveyDocument } from '../api/client';
import { Button } from '../ui/Button';
import { FileButton } from '../ui/FileButton';
import { readNumber } from '../ui/numbers';
import { saveFile } from '../ui/saveFile';
import { useUndoKeys } from '../ui/useUndoKeys';
import { dropDraft, useDraft } from './draft';
import { byField, formFrom, surveyFrom, type SurveyForm } from './form';
import { LimbGrid } from './LimbGrid';
import { TreeFacts } from './TreeFacts';
import { TreeShaper } from './TreeShaper';
import { usePreview } from './usePreview';

const USUAL_LEAF = 6;

interface Props {
  id: number;
  label: string;
  first: SurveyForm;
  again: boolean;
}

/** The survey being typed, and the tree growing beside it. What is typed survives a reload. */
export function SurveyDesk({ id, label, first, again }: Props) {
  const say = useSay();
  const draft = useDraft(id, first);
  const { form } = draft;
  const { drawing, errors, trouble, sound, refuse, summary, queries: surveyQueries } = usePreview(form);
  const [chosen, setChosen] = useState<string | null>(null);
  const go = useNavigate();
  const queries = useQueryClient();
  const known = useQuery({
    queryKey: ['knowledge'],
    queryFn: () => answer(api.GET('/api/knowledge')),
    staleTime: Infinity,
  });

  const change = (next: Partial<SurveyForm>) => {
    draft.change({ ...form, ...next });
  };
  useUndoKeys(draft.undo, draft.redo);

  const save = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/trees/{id}/surveys', { params: { path: { id } }, body: surveyFrom(form) })),
    onSuccess: () => {
      dropDraft(id);
      queries.clear();
      void go(`/trees/${id}`);
    },
    onError: (error) => {
      refuse(error.message, error);
    },
  });

  const typical = useMutation({
    mutationFn: () =>
      answer(
        api.GET('/api/survey/typical', {
          params: {
            query: {
              species: form.species,
              system: form.system,
              leaf: readNumber(form.leaf) ?? USUAL_LEAF,
              trunkMm: readNumber(form.trunkDiameter),
              heightCm: readNumber(form.trunkHeight),
            },
          },
        }),
      ),
    onSuccess: (survey) => {
      const begun = formFrom(survey);
      draft.change({
        ...form,
        trunkDiameter: form.trunkDiameter || begun.trunkDiameter,
        trunkHeight: form.trunkHeight || begun.trunkHeight,
        limbs: begun.limbs,
      });
    },
  });

  const importText = async (text: string, fileName: string) => {
    try {
      const document = JSON.parse(text) as SurveyDocument;
      await answer(api.POST('/api/survey/preview', { body: document }));
      draft.change({ ...formFrom(document), label });
    } catch (error) {
      refuse(
        error instanceof SyntaxError
          ? say('survey-desk.filename-is-not-json-message', { fileName, message: error.message })
          : say('survey-desk.filename-was-not-taken-in', {
              fileName,
              part: error instanceof Error ? error.message : say('survey-desk.it-could-not-be-read'),
            }),
        error,
      );
    }
  };

  const exportFile = () => {
    saveFile(
      `${label.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.umbel-survey.json`,
      JSON.stringify(surveyFrom(form), null, 2),
      'application/json',
    );
  };

  const faults = useMemo(() => byField(errors), [errors]);
  const elsewhere = errors.filter(
    (error) => !error.field.startsWith('limbs[') && !/^(survey\.)?(tree|trunk|surveyedOn)/.test(error.field),
  );

  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_430px] max-lg:h-auto max-lg:grid-cols-1">
      <form
        className="min-h-0 overflow-auto px-6 py-5"
        onSubmit={(event) => {
          event.preventDefault(); // Enter in a field saves nothing for good: only the button does
        }}
      >
        <div className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-[25px] font-bold">
              {again
                ? say('survey-desk.label-surveyed-again', { label })
                : say('survey-desk.label-first-survey', { label })}
            </h1>
            <p className="text-[14px] text-muted">
              {say('survey-desk.angles-from-upright-0-straight', {
                part: draft.takenUp
                  ? say('survey-desk.taken-up-where-you-left')
                  : again
                    ? say('survey-desk.starts-from-the-last-survey')
                    : '',
              })}
            </p>
          </div>
          <div className="flex flex-wrap gap-2">
            <Link
              to={`/trees/${id}/walk`}
              className="min-h-9 rounded-md border border-muted/50 px-3 py-1.5 text-[14px] font-semibold hover:bg-sand"
            >
              {say('survey-desk.step-by-step')}
            </Link>
            <Link
              to={`/trees/${id}/photographs`}
              className="min-h-9 rounded-md border border-muted/50 px-3 py-1.5 text-[14px] font-semibold hover:bg-sand"
            >
              {say('survey-desk.from-photographs')}
            </Link>
            <FileButton
              accept=".json,application/json"
              label={say('survey-desk.survey-file-to-take-in')}
              onText={(text, fileName) => void importText(text, fileName)}
            >
              {say('survey-desk.import')}
            </FileButton>
            <Button onClick={exportFile}>{say('survey-desk.export')}</Button>
            <Button onClick={draft.undo} disabled={!draft.canUndo} title={say('survey-desk.ctrl-z')}>
              {say('survey-desk.undo')}
            </Button>
            <Button onClick={draft.redo} disabled={!draft.canRedo} title={say('survey-desk.ctrl-shift-z')}>
              {say('survey-desk.redo')}
            </Button>
            {draft.touched && (
              <Button
                onClick={() => {
                  draft.change(first);
                }}
              >
                {say('survey-desk.start-over')}
              </Button>
            )}
            <Button
              weight="ink"
              disabled={save.isPending || !sound}
              onClick={() => {
                save.mutate();
              }}
            >
              {say('survey-desk.save-survey')}
            </Button>
          </div>
        </div>
        {trouble !== '' && (draft.touched || form.limbs.length > 0) && (
          <div role="alert" className="mt-3 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14px]">
            {trouble}
            {elsewhere.map((error) => (
              <p key={error.field + error.message}>{error.message}</p>
            ))}
          </div>
        )}
        <div className="mt-4">
          <TreeFacts form={form} faults={faults} known={known.data} change={change} />
        </div>
        <h2 className="mt-6 mb-1 text-[18px] font-bold">{say('survey-desk.limbs-from-the-lowest-up')}</h2>
        {form.limbs.length === 0 && (
          <div className="mb-3 border-l-4 border-ink bg-sand px-4 py-3 text-[14.5px]">
            <p>{say('survey-desk.typical-note')}</p>
            <Button
              weight="ink"
              className="mt-2"
              disabled={typical.isPending || form.species === '' || form.system === ''}
              onClick={() => {
                typical.mutate();
              }}
            >
              {typical.isPending ? say('survey-desk.making-typical') : say('survey-desk.begin-typical')}
            </Button>
            {typical.isError && <p role="alert">{typical.error.message}</p>}
          </div>
        )}
        <LimbGrid
          limbs={form.limbs}
          faults={faults}
          queries={surveyQueries}
          chosen={chosen}
          onChoose={setChosen}
          change={(limbs) => {
            change({ limbs });
          }}
        />
      </form>
      <div className="relative flex min-h-0 flex-col border-l border-line max-lg:h-[520px]">
        {drawing ? (
          <div className="min-h-0 flex-1">
            <TreeShaper
              form={form}
              drawing={drawing}
              chosen={chosen}
              onChoose={setChosen}
              change={(limbs) => {
                change({ limbs });
              }}
              label={say('survey-desk.the-tree-as-typed-so', { length: form.limbs.length })}
            />
          </div>
        ) : (
          <p className="flex-1 p-8 text-muted">{say('survey-desk.the-tree-is-drawn-here')}</p>
        )}
        <p className="border-t border-line bg-paper px-4 py-2 text-[13px] text-muted" aria-live="polite">
          {trouble !== '' && drawing ? say('survey-desk.drawn-as-it-last-made') : ''}
          {summary}
        </p>
      </div>
    </div>
  );
}
