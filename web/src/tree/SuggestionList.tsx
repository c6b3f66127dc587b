import { useSay } from '../text/say';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answer, api, type TreePage } from '../api/client';
import { useWho } from '../people/who';
import { Button } from '../ui/Button';
import { day } from '../ui/words';
import { taking } from './decisions';
import type { DecidingWork } from './useDeciding';

/** What advisers suggest on this plant: accepted, it becomes marks of one's own; refused, it is gone. Advisers are told so. */
export function SuggestionList({
  id,
  of,
  page,
  work,
}: {
  id: number;
  /** The name of the page among the queries. */
  of: 'tree' | 'plant';
  page: Pick<TreePage, 'suggestions' | 'together'>;
  work: DecidingWork;
}) {
  const say = useSay();
  const queries = useQueryClient();
  const reply = useMutation({
    mutationFn: ({ suggestion, accepted }: { suggestion: number; accepted: boolean }) =>
      answer(api.PUT('/api/suggestions/{id}', { params: { path: { id: suggestion } }, body: { accepted } })),
    onSuccess: () => void queries.invalidateQueries({ queryKey: [of, id] }),
  });
  const { role } = useWho();
  if (role === 'adviser') {
    return (
      <p className="border-b border-line bg-sand px-5 py-2 text-[14px]">
        {say('suggestion-list.what-you-mark-is-a')}
      </p>
    );
  }
  if (page.suggestions.length === 0) return null;
  return (
    <section
      aria-label={say('suggestion-list.suggestions')}
      className="border-b border-line bg-sand px-5 py-3 text-[14px]"
    >
      {page.suggestions.map((one) => (
        <div key={one.id}>
          <p>
            <b>{one.by}</b> {say('suggestion-list.suggests-at', { at: day(one.at.slice(0, 10)) })}
          </p>
          <ul className="list-disc pl-5">
            {one.titles.map((title, i) => (
              <li key={i}>{title}</li>
            ))}
          </ul>
          <span className="mt-1 flex gap-2">
            <Button
              weight="ink"
              disabled={reply.isPending}
              onClick={() => {
                work.change(
                  one.marks.reduce((all, mark) => taking(all, mark, page.together), work.decisions),
                );
                reply.mutate({ suggestion: one.id, accepted: true });
              }}
            >
              {say('suggestion-list.accept')}
            </Button>
            <Button
              disabled={reply.isPending}
              onClick={() => {
                reply.mutate({ suggestion: one.id, accepted: false });
              }}
            >
              {say('suggestion-list.refuse')}
            </Button>
          </span>
        </div>
      ))}
      {reply.error && <p role="alert">{reply.error.message}</p>}
    </section>
  );
}
