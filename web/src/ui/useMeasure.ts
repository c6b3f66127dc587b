import { useState } from 'react';
import { inUnits, toMetric, useUnits, type Unit, type UnitSystem } from '../text/units';
import { readNumber, showNumber } from './numbers';

/** A text that holds a figure, with the figure turned; one that holds none stays as it is. */
function turned(text: string, turn: (value: number) => number): string {
  const value = readNumber(text);
  return value === undefined || Number.isNaN(value) ? text : showNumber(turn(value));
}

/** A metric figure as it is written in a system of units. */
export function writtenIn(metric: string, unit: Unit, system: UnitSystem): string {
  return system === 'metric' ? metric : turned(metric, (value) => inUnits(value, unit, system));
}

/** What was typed in a system of units, as a metric figure. */
export function metricOf(typed: string, unit: Unit, system: UnitSystem): string {
  return system === 'metric' ? typed : turned(typed, (value) => toMetric(value, unit, system));
}

/**
 * A field of a form that holds metric figures as text, shown and typed in the reader's units. What was typed stays as it was
 * typed while the form holds what it stands for.
 *
 * @param unit of the form's figure; a field without one is passed through
 */
export function useMeasure(
  metric: string,
  unit: Unit | undefined,
  change: (metric: string) => void,
): [shown: string, type: (typed: string) => void] {
  const system = useUnits();
  const [typed, setTyped] = useState<string | null>(null);
  if (unit === undefined) return [metric, change];
  const stays = typed !== null && metricOf(typed, unit, system) === metric;
  return [
    stays ? typed : writtenIn(metric, unit, system),
    (text) => {
      setTyped(text);
      change(metricOf(text, unit, system));
    },
  ];
}
