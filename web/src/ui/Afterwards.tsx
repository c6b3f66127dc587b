import { useSay } from '../text/say';

/** What is to be done after the last cut, one line a task. */
export interface AfterTask {
  kind: string;
  text: string;
  /** Whether there is anything to do and to tick; else it is said so that nobody does more. */
  toDo: boolean;
}

/** What is done after the last cut, to be read. */
export function AfterwardsList({ tasks, className = '' }: { tasks: AfterTask[]; className?: string }) {
  const say = useSay();
  if (tasks.length === 0) return null;
  return (
    <section className={className}>
      <h3 className="font-semibold">{say('afterwards.after-the-last-cut')}</h3>
      <ul className="list-disc pl-5">
        {tasks.map((task) => (
          <li key={task.kind}>{task.text}</li>
        ))}
      </ul>
    </section>
  );
}

/** What is done after the last cut, ticked as it is done. */
export function Afterwards({
  tasks,
  done,
  change,
  large = false,
}: {
  tasks: AfterTask[];
  done: string[];
  change: (done: string[]) => void;
  /** For a thumb, where it is read at arm's length. */
  large?: boolean;
}) {
  const say = useSay();
  if (tasks.length === 0) return null;
  return (
    <fieldset className="mt-4">
      <legend className="font-semibold">{say('afterwards.after-the-last-cut')}</legend>
      {tasks.map((task) => {
        const line = `flex items-start gap-3 border-b border-line ${large ? 'min-h-12 py-2.5 text-[17px]' : 'py-1.5 text-[14px]'}`;
        return task.toDo ? (
          <label key={task.kind} className={line}>
            <input
              type="checkbox"
              className={`mt-0.5 shrink-0 ${large ? 'h-6 w-6' : 'h-4 w-4'}`}
              checked={done.includes(task.kind)}
              onChange={(event) => {
                change(
                  event.target.checked ? [...done, task.kind] : done.filter((kind) => kind !== task.kind),
                );
              }}
            />
            {task.text}
          </label>
        ) : (
          <p key={task.kind} className={line}>
            {task.text}
          </p>
        );
      })}
    </fieldset>
  );
}
