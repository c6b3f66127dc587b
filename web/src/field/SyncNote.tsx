import { fieldWords } from './words';
import { useSync } from './useSync';

/** Whether there is signal, and what waits for it. */
export function SyncNote({ language }: { language: string }) {
  const { count, refused, online } = useSync();
  const words = fieldWords(language);
  if (online && count === 0 && refused.length === 0) return null;
  return (
    <div role="status" className="border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[16px]">
      {!online && <p>{words.offline}</p>}
      {count > 0 && <p>{words.waiting(count)}</p>}
      {refused.map((one) => (
        <p key={one}>{one}</p>
      ))}
    </div>
  );
}
