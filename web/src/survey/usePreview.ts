import { useEffect, useState } from 'react';
import { answer, api, type Drawing, type SurveyQuery } from '../api/client';
import { Problem, type FieldError } from '../api/problem';
import { percent } from '../ui/words';
import { surveyFrom, type SurveyForm } from './form';

const DRAW_AFTER = 300;

/** The tree as typed so far, drawn by the server a moment after the last change, with what is wrong in it. */
export function usePreview(form: SurveyForm) {
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
            `${preview.drawing.axes.length} pieces of wood; ${percent(preview.light.underFruitLight)} of the fruiting wood in shade.` +
              (preview.estimated.length > 0
                ? ` Estimated: ${preview.estimated.map((field) => field.split('.').pop() ?? field).join(', ')}.`
                : ''),
          );
        })
        .catch((error: unknown) => {
          if (!current) return;
          setErrors(error instanceof Problem ? error.errors : []);
          setTrouble(error instanceof Error ? error.message : 'The drawing failed.');
        });
    }, DRAW_AFTER);
    return () => {
      current = false;
      clearTimeout(wait);
    };
  }, [form]);
  return { drawing, errors, setErrors, trouble, setTrouble, summary, queries };
}
