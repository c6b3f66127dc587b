import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { answer, api, type PlantedField, type PlantingRequest } from '../api/client';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { saveFile } from '../ui/saveFile';
import { Failed } from '../ui/States';
import { keepsTheTrees } from './standing';

/** The field filled with each option's rows, asked for anew when it or they change. */
export function useFields(request: PlantingRequest) {
  return useQuery({
    queryKey: ['planting-field', request.site, request.standing, request.options],
    queryFn: () => answer(api.POST('/api/plantings/field', { body: request })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
}

/** Each option on the field: its rows from above, what is bought for it, and the plan to plant by. */
export function FieldPlans({
  request,
  fields,
}: {
  request: PlantingRequest;
  fields: ReturnType<typeof useFields>;
}) {
  const say = useSay();
  return (
    <details className="mt-6 border-t border-line pt-2" open={request.site?.outline_m != null}>
      <summary className="min-h-9 content-center font-semibold">{say('field-plans.title')}</summary>
      {fields.isPending && <p className="text-muted">{say('field-plans.filling')}</p>}
      {fields.isError && <Failed error={fields.error} retry={() => void fields.refetch()} />}
      <div className="grid grid-cols-2 gap-6 max-xl:grid-cols-1">
        {fields.data?.map(
          (field, i) =>
            !keepsTheTrees(request.options?.[i]) && (
              <OneField key={field.name} request={request} field={field} option={i} />
            ),
        )}
      </div>
    </details>
  );
}

function OneField({
  request,
  field,
  option,
}: {
  request: PlantingRequest;
  field: PlantedField;
  option: number;
}) {
  const say = useSay();
  const plan = useMutation({
    mutationFn: async (kind: 'pdf' | 'geojson') => {
      const params = { query: { option } };
      const saved =
        kind === 'pdf'
          ? await answer(api.POST('/api/plantings/plan.pdf', { params, body: request, parseAs: 'blob' }))
          : await answer(api.POST('/api/plantings/plan.geojson', { params, body: request, parseAs: 'blob' }));
      saveFile(
        `planting-plan-${field.name}.${kind}`,
        saved,
        kind === 'pdf' ? 'application/pdf' : 'application/geo+json',
      );
    },
  });
  return (
    <section aria-label={say('field-plans.of', { name: field.name })}>
      <h3 className="font-display text-[18px] font-bold">{field.name}</h3>
      <p className="text-[14px] text-muted">
        {say('field-plans.facts', {
          trees: field.trees,
          rows: field.rows,
          length: Math.round(field.rowLength_m),
          area: Math.round(100 * field.area_ha) / 100,
          bearing: Math.round(field.rowBearing_deg),
        })}
      </p>
      {field.trees === 0 ? (
        <p className="mt-1 border-l-4 border-lichen bg-lichen-wash px-3 py-1 text-[14px]">
          {say('field-plans.no-room')}
        </p>
      ) : (
        <>
          <div
            role="img"
            aria-label={say('field-plans.drawing', { rows: field.rows, trees: field.trees })}
            className="mt-2 max-h-[420px] [&>svg]:h-auto [&>svg]:max-h-[420px] [&>svg]:w-full"
            dangerouslySetInnerHTML={{ __html: field.drawing }}
          />
          <table className="mt-2 w-full text-[14.5px]">
            <caption className="text-left text-[13px] text-muted">{say('field-plans.to-buy')}</caption>
            <tbody>
              {field.materials.map((one) => (
                <tr key={one.code} className="border-b border-line">
                  <th className="py-0.5 text-left font-normal">{one.text}</th>
                  <td className="py-0.5 text-right font-semibold">
                    {one.unit === 'm'
                      ? say('field-plans.length', { length: one.amount })
                      : say('field-plans.count', { count: one.amount })}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button
              disabled={plan.isPending}
              onClick={() => {
                plan.mutate('pdf');
              }}
            >
              {say('field-plans.pdf')}
            </Button>
            <Button
              disabled={plan.isPending}
              onClick={() => {
                plan.mutate('geojson');
              }}
            >
              {say('field-plans.geojson')}
            </Button>
          </div>
          {plan.isError && (
            <p role="alert" className="mt-1 text-[14px] text-lichen">
              {plan.error.message}
            </p>
          )}
        </>
      )}
    </section>
  );
}
