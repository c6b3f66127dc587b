import { useQuery } from '@tanstack/react-query';
import { answer, api, type BlockLine, type SurveyDocument } from '../api/client';
import { formFrom, type SurveyForm } from './form';

const today = () => new Date().toISOString().slice(0, 10);

function firstForm(label: string, block: BlockLine, newest: SurveyDocument | null): SurveyForm {
  if (newest) {
    return { ...formFrom(newest), label, surveyedOn: today() };
  }
  return {
    ...formFrom({ format: 'umbel-survey/1', limbs: [] }),
    label,
    species: block.species,
    system: block.system,
    leaf: String(new Date().getFullYear() - block.plantedYear),
    cultivar: block.cultivar.split(',')[0] ?? '',
    stock: block.stock,
    inRow: String(block.inRowM),
    betweenRows: String(block.betweenRowsM),
    rowBearing: String(block.rowBearingDeg),
    latitude: String(block.latitudeDeg),
    elevation: String(block.elevationM),
    surveyedOn: today(),
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
