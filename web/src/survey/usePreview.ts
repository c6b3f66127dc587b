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

/** The tree as typed so far, drawn by the server a moment after the last change, with what is wrong in it. */
export function usePreview(form: SurveyForm) {
  const say = useSay();
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const [errors, setErrors] = useState<FieldError[]>([]);
  const [trouble, setTrouble] = useState('');
  const [summary, setSummary] = useState('');
  const [queries, setQueries] = useState<SurveyQuery[]>([]);
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
  return { drawing, errors, setErrors, trouble, setTrouble, summary, queries };
}
