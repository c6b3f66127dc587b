import { useQuery } from '@tanstack/react-query';
import { answer, api, type BlockLine, type SurveyDocument } from '../api/client';
import { showNumber } from '../ui/numbers';
import { formFrom, type SurveyForm } from './form';

/** Today where the holding lies, as a day is written in the format. */
const today = (timeZone: string) => new Date().toLocaleDateString('sv-SE', { timeZone });

function firstForm(label: string, block: BlockLine, newest: SurveyDocument | null): SurveyForm {
  if (newest) {
    return { ...formFrom(newest), label, surveyedOn: today(block.timeZone) };
  }
  return {
    ...formFrom({ format: 'umbel-survey/1', tree: {}, trunk: {}, limbs: [] }),
    label,
    species: block.species,
    system: block.system,
    leaf: showNumber(new Date().getFullYear() - block.plantedYear),
    cultivar: block.cultivar.split(',')[0] ?? '',
    stock: block.stock,
    inRow: showNumber(block.inRowM),
    betweenRows: showNumber(block.betweenRowsM),
    rowBearing: showNumber(block.rowBearingDeg),
    latitude: showNumber(block.latitudeDeg),
    elevation: showNumber(block.elevationM),
    surveyedOn: today(block.timeZone),
    union: '10',
  };
}

/** What a survey of a tree begins with: what it is expected to find after the last one, or what its block is. */
export function useStart(id: number) {
  return useQuery({
    queryKey: ['survey-start', id],
    queryFn: async () => {
      const place = await answer(api.GET('/api/trees/{id}/place', { params: { path: { id } } }));
      const newest =
        place.surveyId == null
          ? null
          : await answer(api.GET('/api/trees/{id}/surveys/expected', { params: { path: { id } } }));
      return {
        form: firstForm(place.label, place.block, newest),
        label: place.label,
        again: newest !== null,
      };
    },
    gcTime: 0,
    staleTime: Infinity,
  });
}
