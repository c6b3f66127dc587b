import { useCallback } from 'react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type RulePage } from '../api/client';

const NONE: readonly RulePage[] = [];

/** Every rule of reading as it is told, in the order of the work; they do not change while the program runs. */
export function useRules(): readonly RulePage[] {
  const rules = useQuery({
    queryKey: ['rules'],
    queryFn: () => answer(api.GET('/api/guide/rules')),
    staleTime: Infinity,
    gcTime: Infinity,
  });
  return rules.data ?? NONE;
}

/** What a rule is called, by its id. */
export function useRuleNames(): (rule: string) => string {
  const rules = useRules();
  return useCallback((rule: string) => rules.find((one) => one.id === rule)?.name ?? '', [rules]);
}
