import { useSay } from '../text/say';
import { useEffect, useState } from 'react';
import { answer, api, type Drawing, type SurveyQuery } from '../api/client';
import { Problem, type FieldError } from '../api/problem';
import { percent } from '../ui/words';
import { surveyFrom, type SurveyForm } from './form';

const DRAW_AFTER = 300;

/** What is legal but odd about a limb, asked rather than refused. */
export function questionsAbout(limb: string, queries: SurveyQuery[]): string[] {
  return queries.filter((query) => query.limb === limb).map((query) => query.text);
}

/** Why a file was not taken or a survey not saved, and the survey as it stood then. */
interface Refused {
  form: SurveyForm;
  message: string;
  errors: FieldError[];
}

/** The tree as typed so far, drawn by the server a moment after the last change, with what is wrong in it. */
export function usePreview(form: SurveyForm) {
  const say = useSay();
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const [errors, setErrors] = useState<FieldError[]>([]);
  const [trouble, setTrouble] = useState('');
  const [summary, setSummary] = useState('');
  const [queries, setQueries] = useState<SurveyQuery[]>([]);
  // kept apart from what the drawing meets: an answer still under way must not wipe it out
  const [refused, setRefused] = useState<Refused | null>(null);
  useEffect(() => {
    let current = true;
    const wait = setTimeout(() => {
      answer(api.POST('/api/survey/preview', { body: surveyFrom(form) }))
        .then((preview) => {
          if (!current) return;
          setDrawing(preview.drawing);
          setQueries(preview.queries);
          setErrors([]);
          setTrouble('');
          setSummary(
            say('use-preview.length-pieces-of-wood-underfruitlight', {
              length: preview.drawing.axes.length,
              underFruitLight: percent(preview.light.underFruitLight),
            }) +
              (preview.estimated.length > 0
                ? say('use-preview.estimated-estimated', {
                    estimated: preview.estimated.map((field) => field.split('.').pop() ?? field).join(', '),
                  })
                : ''),
          );
        })
        .catch((error: unknown) => {
          if (!current) return;
          setErrors(error instanceof Problem ? error.errors : []);
          const wrong = error instanceof Problem ? error.errors.length : 0;
          setTrouble(
            wrong > 0
              ? say('survey-desk.fields-wrong', { count: wrong })
              : error instanceof Error
                ? error.message
                : say('use-preview.the-drawing-failed'),
          );
        });
    }, DRAW_AFTER);
    return () => {
      current = false;
      clearTimeout(wait);
    };
  }, [form, say]);
  const told = refused?.form === form ? refused : null;
  return {
    drawing,
    errors: told?.errors ?? errors,
    trouble: told?.message ?? trouble,
    /** Whether the survey can be saved as it stands; what was refused once may be tried again. */
    sound: trouble === '',
    /** Tells why a file was not taken or a survey not saved, until the survey is changed. */
    refuse: (message: string, error: unknown) => {
      setRefused({ form, message, errors: error instanceof Problem ? error.errors : [] });
    },
    summary,
    queries,
  };
}
