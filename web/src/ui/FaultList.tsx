import type { FieldError } from '../api/problem';
import { faultPlace } from '../api/faultPlace';

const MOST_SHOWN = 12;

/** The faults of a file or table that was sent, each with its place. */
export function FaultList({ errors }: { errors: FieldError[] }) {
  return (
    <ul>
      {errors.slice(0, MOST_SHOWN).map((error) => (
        <li key={error.field + error.message}>
          {error.field !== '' && <b>{faultPlace(error.field)}:</b>} {error.message}
        </li>
      ))}
    </ul>
  );
}
