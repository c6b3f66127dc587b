import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { answer, api, sendPicture, type PhotoFigures } from '../api/client';
import { newId } from '../api/newId';
import { useWho } from '../people/who';
import { shrunk } from '../photo/shrunk';
import { keepDraft, keptDraft } from '../survey/draft';
import { useStart } from '../survey/useStart';
import type { SurveyForm } from '../survey/form';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { readNumber } from '../ui/numbers';
import { useUndoKeys } from '../ui/useUndoKeys';
import {
  dropPhotoDraft,
  keepPhotoDraft,
  keptPhotoDraft,
  type PhotoDraft,
  type PictureFile,
  type Touches,
} from './kept';
import { Measured } from './Measured';
import { formOf } from './measured';
import { PictureBoard } from './PictureBoard';
import { PictureFacts } from './PictureFacts';
import { TakePictures } from './TakePictures';
import {
  isMeasurable,
  moved,
  passedOver,
  requestOf,
  touched,
  wanted,
  without,
  type Picture,
} from './tracing';
import { useTouches } from './useTouches';
import { NOT_BEGUN, touchedAt } from './workClock';

/** A survey of a tree from photographs: two pictures, a staff, and the points of each limb. */
export function PhotoSurveyPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const start = useStart(id);
  const kept = useQuery({
    queryKey: ['photo-draft', id],
    queryFn: async () => (await keptPhotoDraft(id)) ?? null,
    gcTime: 0,
    staleTime: Infinity,
  });
  const figures = useQuery({
    queryKey: ['photo-figures'],
    queryFn: () => answer(api.GET('/api/survey/photographs')),
    staleTime: Infinity,
  });
  if (start.isError) return <Failed error={start.error} retry={() => void start.refetch()} />;
  if (figures.isError) return <Failed error={figures.error} retry={() => void figures.refetch()} />;
  if (start.isPending || kept.isPending || figures.isPending)
    return <Loading what={say('survey-page.getting-the-survey-ready')} />;
  return (
    <PhotoSurveyDesk
      key={id}
      id={id}
      label={start.data.label}
      first={start.data.form}
      kept={kept.data ?? null}
      figures={figures.data}
    />
  );
}

const NOTHING: Touches = { staff_cm: 0, pictures: [], pairs: [], gauge: {} };

function PhotoSurveyDesk({
  id,
  label,
  first,
  kept,
  figures,
}: {
  id: number;
  label: string;
  first: SurveyForm;
  kept: PhotoDraft | null;
  figures: PhotoFigures;
}) {
  const say = useSay();
  const go = useNavigate();
  const { name: who } = useWho();
  const { touches, ...history } = useTouches(kept ?? NOTHING);
  const [files, setFiles] = useState<PictureFile[]>(kept?.files ?? []);
  const [clock, setClock] = useState(kept?.clock ?? NOT_BEGUN);
  const [view, setView] = useState(0);
  const [chosen, setChosen] = useState<string | null>(null);
  const [moving, setMoving] = useState(false);
  const [isKept, setIsKept] = useState(true);
  const [keepPictures, setKeepPictures] = useState(true);
  const urls = useMemo(() => files.map((file) => URL.createObjectURL(file.picture)), [files]);
  useEffect(
    () => () => {
      urls.forEach((url) => {
        URL.revokeObjectURL(url);
      });
    },
    [urls],
  );
  useEffect(() => {
    if (files.length > 0) void keepPhotoDraft(id, { ...touches, files, clock }).then(setIsKept);
  }, [id, touches, files, clock]);
  useUndoKeys(history.undo, history.redo);

  const request = useMemo(() => requestOf(touches.pictures, touches.staff_cm, touches.pairs), [touches]);
  const canMeasure = touches.pictures.length > 0 && touches.pictures.every(isMeasurable);
  const measured = useQuery({
    queryKey: ['photo-survey', request],
    queryFn: () => answer(api.POST('/api/survey/photographs', { body: request })),
    enabled: canMeasure,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const begun = useMemo(() => keptDraft(id) ?? first, [id, first]);
  const use = useMutation({
    mutationFn: async () => {
      if (!measured.data) return;
      keepDraft(id, formOf(begun, measured.data, touches.gauge, figures));
      if (keepPictures) {
        for (const file of files) {
          const asked = new URLSearchParams({ clientId: file.id, moment: 'seen', who });
          await sendPicture(`/api/trees/${id}/photos?${asked.toString()}`, await shrunk(file.picture));
        }
      }
      await dropPhotoDraft(id);
    },
    onSuccess: () => void go(`/trees/${id}/survey`),
  });

  const picture = touches.pictures[view];
  const setPicture = (next: Picture) => {
    setClock(touchedAt(clock, Date.now()));
    history.set({
      ...touches,
      pictures: touches.pictures.map((one, i) => (i === view ? next : one)),
    });
  };

  if (!picture) {
    return (
      <TakePictures
        label={label}
        id={id}
        rowBearing={readNumber(first.rowBearing) ?? 0}
        figures={figures}
        taken={(pictures, blobs, staff_cm) => {
          setFiles(blobs.map((picture) => ({ id: newId(), picture })));
          setClock(NOT_BEGUN);
          history.begin({ ...NOTHING, staff_cm, pictures });
        }}
      />
    );
  }
  const next = wanted(picture);
  const counted = picture.limbs.length + (next === 'base' ? 1 : 0);
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_440px] max-lg:h-auto max-lg:grid-cols-1">
      <div className="flex min-h-0 flex-col max-lg:h-[64vh]">
        <div className="flex flex-wrap items-center gap-2 px-4 py-2">
          <h1 className="mr-2 text-[19px] font-bold">{say('photosurvey.title', { label })}</h1>
          {touches.pictures.length > 1 && (
            <span role="group" aria-label={say('photosurvey.pictures')} className="flex gap-1">
              {touches.pictures.map((one, i) => (
                <Button
                  key={i}
                  aria-pressed={i === view}
                  weight={i === view ? 'ink' : 'plain'}
                  onClick={() => {
                    setView(i);
                    setChosen(null);
                  }}
                >
                  {say('photosurvey.picture-limbs', { picture: i + 1, count: one.limbs.length })}
                </Button>
              ))}
            </span>
          )}
        </div>
        <div className="min-h-0 flex-1">
          <PictureBoard
            key={view}
            url={urls[view] ?? ''}
            picture={picture}
            prompt={
              moving
                ? say('photosurvey.move-prompt')
                : say('photosurvey.prompt', { wanted: next, limb: counted })
            }
            moving={moving}
            chosen={chosen}
            tools={
              <>
                {!moving && (next === 'bend' || next === 'top') && (
                  <Button
                    onClick={() => {
                      setPicture(passedOver(picture));
                    }}
                  >
                    {next === 'top' ? say('photosurvey.no-top') : say('photosurvey.straight')}
                  </Button>
                )}
                <Button
                  aria-pressed={moving}
                  weight={moving ? 'ink' : 'plain'}
                  onClick={() => {
                    setMoving(!moving);
                  }}
                >
                  {say('photosurvey.move')}
                </Button>
                <Button onClick={history.undo} disabled={!history.canUndo}>
                  {say('survey-desk.undo')}
                </Button>
                <Button onClick={history.redo} disabled={!history.canRedo}>
                  {say('survey-desk.redo')}
                </Button>
              </>
            }
            onTouch={(at) => {
              setPicture(touched(picture, view, at));
            }}
            onMove={(handle, to) => {
              setPicture(moved(picture, handle, to));
            }}
            onChoose={setChosen}
          />
        </div>
      </div>
      <div className="min-h-0 overflow-auto border-l border-line px-4 py-3 max-lg:border-l-0">
        {!isKept && (
          <p role="alert" className="mb-2 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14px]">
            {say('photosurvey.not-kept')}
          </p>
        )}
        <PictureFacts
          view={view}
          picture={picture}
          staff_cm={touches.staff_cm}
          usual_mm={figures.focal35_mm}
          chosen={chosen}
          choose={setChosen}
          setStaff={(staff_cm) => {
            history.set({ ...touches, staff_cm });
          }}
          set={setPicture}
          remove={(limb) => {
            setPicture(without(picture, limb));
            setChosen(null);
          }}
        />
        <Measured
          waiting={!canMeasure}
          pictures={touches.pictures}
          measured={measured.data}
          spent_ms={clock.ms}
          error={measured.error}
          figures={figures}
          gauge={touches.gauge}
          setGauge={(gauge) => {
            history.set({ ...touches, gauge });
          }}
          pairs={touches.pairs}
          setPairs={(pairs) => {
            history.set({ ...touches, pairs });
          }}
          chosen={view === 0 ? chosen : null}
          choose={(limb) => {
            setView(0);
            setChosen(limb);
          }}
        />
        {measured.data && measured.data.limbs.length > 0 && (
          <div className="sticky -bottom-3 mt-4 border-t-2 border-ink bg-paper py-3">
            <label className="flex items-center gap-2 text-[14px]">
              <input
                type="checkbox"
                checked={keepPictures}
                onChange={(event) => {
                  setKeepPictures(event.target.checked);
                }}
              />
              {say('photosurvey.keep-pictures')}
            </label>
            {begun.limbs.length > 0 && (
              <p className="mt-1 text-[14px]">{say('photosurvey.replaces', { count: begun.limbs.length })}</p>
            )}
            <Button
              weight="ink"
              className="mt-2"
              disabled={use.isPending}
              onClick={() => {
                use.mutate();
              }}
            >
              {say('photosurvey.use', { count: measured.data.limbs.length })}
            </Button>
            {use.isError && (
              <p role="alert" className="mt-1 font-semibold text-lichen">
                {use.error.message}
              </p>
            )}
          </div>
        )}
        <p className="mt-4 flex flex-wrap gap-3 text-[14px]">
          <Link to={`/trees/${id}/survey`} className="underline underline-offset-4">
            {say('photosurvey.by-hand')}
          </Link>
          <button
            type="button"
            className="underline underline-offset-4"
            onClick={() => {
              void dropPhotoDraft(id);
              setFiles([]);
              setView(0);
              history.begin(NOTHING);
            }}
          >
            {say('photosurvey.other-pictures')}
          </button>
        </p>
      </div>
    </div>
  );
}
