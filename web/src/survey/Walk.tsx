import { useSay } from '../text/say';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { Problem } from '../api/problem';
import { useGuide } from '../guide/useGuide';
import { FIRST_VIEW, type View } from '../stand/camera';
import { prepare } from '../stand/geometry';
import type { Showing } from '../stand/paint';
import { TreeStand } from '../stand/TreeStand';
import { dropDraft, useDraft } from './draft';
import { byField, surveyFrom, type LimbRow, type SurveyForm } from './form';
import { copyOf, nextLimb } from './newLimb';
import { LimbList } from './LimbList';
import { LimbSteps, STEPS, STEP_WORDS } from './LimbSteps';
import { Big, Stepper } from './Thumb';
import { questionsAbout, usePreview } from './usePreview';

const MARGINS = { top: 14, side: 16, bottom: 22 };
/** Where the surveyor is: at the trunk, at a limb's question, or looking over the list. */
type Place = { at: 'trunk' } | { at: 'limb'; key: string; step: number } | { at: 'list' };

/** A survey by thumb: one question at a time, the tree growing above it, nothing lost on reload. */
export function Walk({ id, label, first }: { id: number; label: string; first: SurveyForm }) {
  const say = useSay();
  const draft = useDraft(id, first);
  const { form, change } = draft;
  const [place, setPlace] = useState<Place>(form.limbs.length > 0 ? { at: 'list' } : { at: 'trunk' });
  const [view, setView] = useState<View>(FIRST_VIEW);
  const { drawing, errors, trouble, sound, refuse, queries: surveyQueries } = usePreview(form);
  const go = useNavigate();
  const queries = useQueryClient();
  const guide = useGuide();
  const system = guide.data?.systems.find((one) => one.id === form.system);
  const ideal = system?.form === 'plane' || (system && system.spreadM < 2.5) ? 85 : 55;

  const changeLimb = (key: string, next: Partial<LimbRow>) => {
    change({ ...form, limbs: form.limbs.map((limb) => (limb.key === key ? { ...limb, ...next } : limb)) });
  };
  const beginLimb = () => {
    const limb = nextLimb(form.limbs);
    const begun = form.limbs.length === 0 ? { ...limb, angle_deg: String(ideal) } : limb;
    change({ ...form, limbs: [...form.limbs, begun] });
    setPlace({ at: 'limb', key: begun.key, step: 0 });
  };
  const save = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/trees/{id}/surveys', { params: { path: { id } }, body: surveyFrom(form) })),
    onSuccess: () => {
      dropDraft(id);
      queries.clear();
      void go(`/trees/${id}`);
    },
    onError: (error) => {
      refuse(error instanceof Problem ? error.message : say('walk.it-was-not-saved'), error);
    },
  });

  const faults = useMemo(() => byField(errors), [errors]);
  const stand = useMemo(() => (drawing ? prepare(drawing) : null), [drawing]);
  const index = place.at === 'limb' ? form.limbs.findIndex((limb) => limb.key === place.key) : -1;
  const limb = form.limbs[index];
  const lit = limb?.id ?? '';
  const showing: Showing = useMemo(
    () => ({ layer: 'wood', stage: 'found', cuts: new Map(), lit: new Set(lit ? [lit] : []) }),
    [lit],
  );
  const names = useMemo(() => new Map(lit ? [[lit, lit]] : []), [lit]);
  const step = place.at === 'limb' ? (STEPS[place.step] ?? 'place') : 'place';
  const onward = () => {
    if (place.at !== 'limb') return;
    if (place.step + 1 < STEPS.length) setPlace({ ...place, step: place.step + 1 });
    else setPlace({ at: 'list' });
  };
  const back = () => {
    if (place.at === 'limb' && place.step > 0) setPlace({ ...place, step: place.step - 1 });
    else setPlace({ at: 'list' });
  };
  const asked = limb ? questionsAbout(limb.id, surveyQueries) : [];

  return (
    <div className="mx-auto flex h-full max-w-[560px] flex-col">
      <div className="flex items-center justify-between gap-2 px-4 pt-2">
        <h1 className="text-[19px] leading-tight font-bold">{label}</h1>
        <div className="flex gap-1">
          <button
            type="button"
            className="min-h-11 px-3 text-[16px] font-semibold disabled:opacity-40"
            disabled={!draft.canUndo}
            onClick={draft.undo}
          >
            {say('walk.undo')}
          </button>
          <Link
            to={`/trees/${id}/survey`}
            className="grid min-h-11 place-items-center px-2 text-[16px] font-semibold"
          >
            {say('walk.table')}
          </Link>
        </div>
      </div>
      <div className="relative h-[30%] min-h-[150px] shrink-0">
        {stand ? (
          <TreeStand
            stand={stand}
            view={view}
            onView={setView}
            showing={showing}
            names={names}
            label={say('walk.the-tree-so-far-length', { length: form.limbs.length })}
            onPick={(hit) => {
              const row = form.limbs.find((one) => one.id === hit?.axis.limb);
              if (row) setPlace({ at: 'limb', key: row.key, step: 0 });
            }}
            margins={MARGINS}
          />
        ) : (
          <p className="p-5 text-muted">{say('walk.the-tree-grows-here-as')}</p>
        )}
      </div>
      <div className="min-h-0 flex-1 overflow-auto px-4 py-3">
        {place.at === 'trunk' && <TrunkSteps form={form} faults={faults} change={change} />}
        {place.at === 'limb' && limb && (
          <>
            <p className="text-[14.5px] text-muted">
              {say('walk.limb-id-question-step-of', {
                id: limb.id,
                step: place.step + 1,
                length: STEPS.length,
              })}
            </p>
            <h2 className="mb-3 text-[22px] font-bold">{STEP_WORDS[step]}</h2>
            <LimbSteps
              step={step}
              form={form}
              limb={limb}
              ideal={ideal}
              fault={(field) => faults.get(`limbs[${index}].${field}`)}
              change={(next) => {
                changeLimb(limb.key, next);
              }}
              onward={onward}
            />
            {asked.length > 0 && (
              <ul
                className="mt-3 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[15px]"
                role="status"
              >
                {asked.map((words) => (
                  <li key={words}>
                    {words} {say('walk.is-that-right')}
                  </li>
                ))}
              </ul>
            )}
          </>
        )}
        {place.at === 'list' && (
          <LimbList
            limbs={form.limbs}
            faults={faults}
            edit={(key) => {
              setPlace({ at: 'limb', key, step: 0 });
            }}
            change={(limbs) => {
              change({ ...form, limbs });
            }}
            copy={(row) => {
              const twin = copyOf(row, form.limbs);
              change({ ...form, limbs: [...form.limbs, twin] });
              setPlace({ at: 'limb', key: twin.key, step: 0 });
            }}
            trunk={() => {
              setPlace({ at: 'trunk' });
            }}
          />
        )}
      </div>
      {trouble !== '' && place.at === 'list' && (
        <p role="alert" className="mx-4 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[15px]">
          {trouble}
        </p>
      )}
      <div className="grid grid-cols-[1fr_2fr] gap-2 border-t border-line bg-paper px-4 py-2.5">
        {place.at === 'limb' ? (
          <>
            <Big onClick={back}>{say('walk.back')}</Big>
            <Big chosen onClick={onward}>
              {place.step + 1 < STEPS.length ? say('walk.next') : say('walk.done-with-this-limb')}
            </Big>
          </>
        ) : place.at === 'trunk' ? (
          <>
            <Big
              onClick={() => {
                setPlace({ at: 'list' });
              }}
            >
              {say('walk.list')}
            </Big>
            <Big chosen onClick={beginLimb}>
              {say('walk.first-limb')}
            </Big>
          </>
        ) : (
          <>
            <Big onClick={beginLimb}>{say('walk.next-limb')}</Big>
            <Big
              chosen
              disabled={save.isPending || !sound}
              onClick={() => {
                save.mutate();
              }}
            >
              {say('walk.save-the-survey')}
            </Big>
          </>
        )}
      </div>
    </div>
  );
}

function TrunkSteps({
  form,
  faults,
  change,
}: {
  form: SurveyForm;
  faults: ReadonlyMap<string, string>;
  change: (form: SurveyForm) => void;
}) {
  const say = useSay();
  return (
    <div className="grid gap-3">
      <h2 className="text-[22px] font-bold">{say('walk.the-trunk-first')}</h2>
      <Stepper
        name={say('name.trunk-thickness-at-knee-height')}
        unit="mm"
        step={5}
        value={form.trunkDiameter}
        fault={faults.get('trunk.diameter_mm')}
        change={(trunkDiameter) => {
          change({ ...form, trunkDiameter });
        }}
      />
      <Stepper
        name={say('name.height-of-its-top')}
        unit="cm"
        step={10}
        value={form.trunkHeight}
        fault={faults.get('trunk.height_cm')}
        change={(trunkHeight) => {
          change({ ...form, trunkHeight });
        }}
      />
      <Stepper
        name={say('name.graft-union-at')}
        unit="cm"
        step={1}
        value={form.union}
        fault={faults.get('trunk.unionAt_cm')}
        change={(union) => {
          change({ ...form, union });
        }}
      />
    </div>
  );
}
