import { useSay } from '../text/say';

/** The name of a farm, typed. */
export function FarmNameField({ name, onName }: { name: string; onName: (name: string) => void }) {
  const say = useSay();
  return (
    <input
      aria-label={say('farms.name-of-the-farm')}
      placeholder={say('farms.name-of-the-farm')}
      value={name}
      maxLength={200}
      onChange={(event) => {
        onName(event.target.value);
      }}
      className="min-h-9 w-64 rounded-md border border-muted/50 bg-paper px-3"
    />
  );
}
