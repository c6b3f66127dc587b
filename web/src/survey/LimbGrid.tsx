import { MeasureInput } from '../ui/MeasureInput';
import { isUnit, unitOfField, unitSign } from '../text/units';
import { term } from '../text/term';
import { say, useSay } from '../text/say';
import { useRef, useState } from 'react';
import { Button } from '../ui/Button';
import { branchesOf, CONDITIONS, renamed, ROLES, withoutLimb, type LimbRow } from './form';
import type { SurveyQuery } from '../api/client';
import { nextLimb } from './newLimb';
import { SmallWood } from './SmallWood';
import { questionsAbout } from './usePreview';

interface Props {
  limbs: LimbRow[];
  faults: ReadonlyMap<string, string>;
  /** What is odd about the limbs as typed. */
  queries: SurveyQuery[];
  chosen: string | null;
  onChoose: (limb: string | null) => void;
  change: (limbs: LimbRow[]) => void;
}

/** The format's word for the trunk as a parent. */
const TRUNK = 'trunk';

type Column =
  | 'id'
  | 'parent'
  | 'at_cm'
  | 'bearing_deg'
  | 'angle_deg'
  | 'diameter_mm'
  | 'length_cm'
  | 'age_y'
  | 'lastGrowth_cm';

const COLUMNS: { field: Column; name: string; unit: string; width: string }[] = [
  {
    field: 'id',
    get name() {
      return say('limb-grid.limb');
    },
    unit: '',
    width: 'w-12',
  },
  {
    field: 'parent',
    get name() {
      return say('limb-grid.from');
    },
    unit: '',
    width: 'w-14',
  },
  {
    field: 'at_cm',
    get name() {
      return say('limb-grid.at');
    },
    unit: 'cm',
    width: 'w-14',
  },
  {
    field: 'bearing_deg',
    get name() {
      return say('limb-grid.bearing');
    },
    unit: '°',
    width: 'w-15',
  },
  {
    field: 'angle_deg',
    get name() {
      return say('limb-grid.angle');
    },
    unit: '°',
    width: 'w-14',
  },
  {
    field: 'diameter_mm',
    get name() {
      return say('limb-grid.thick');
    },
    unit: 'mm',
    width: 'w-14',
  },
  {
    field: 'length_cm',
    get name() {
      return say('limb-grid.long');
    },
    unit: 'cm',
    width: 'w-14',
  },
  {
    field: 'age_y',
    get name() {
      return say('limb-grid.age');
    },
    get unit() {
      return say('limb-grid.years');
    },
    width: 'w-12',
  },
  {
    field: 'lastGrowth_cm',
    get name() {
      return say('limb-grid.grew');
    },
    unit: 'cm',
    width: 'w-14',
  },
];

/** What a limb leaves, in the reader's language where it is the trunk. */
function shownParent(parent: string): string {
  return parent === TRUNK ? say('limb-grid.trunk') : parent;
}

function parentOf(typed: string): string {
  return typed.trim().toLowerCase() === say('limb-grid.trunk') ? TRUNK : typed;
}

/** Limbs as rows in walking order. Enter goes down and begins the next limb; arrows move between rows. */
export function LimbGrid({ limbs, faults, queries, chosen, onChoose, change }: Props) {
  const say = useSay();
  const table = useRef<HTMLTableElement>(null);
  const focus = (row: number, column: string) => {
    requestAnimationFrame(() => {
      const cell = table.current?.querySelector<HTMLInputElement>(`[data-cell="${row}-${column}"]`);
      cell?.focus();
      cell?.select();
    });
  };
  const [leaving, setLeaving] = useState<string | null>(null);
  const set = (row: number, next: Partial<LimbRow>) => {
    if (next.id !== undefined) change(renamed(row, next.id, limbs));
    else change(limbs.map((limb, i) => (i === row ? { ...limb, ...next } : limb)));
  };
  const remove = (limb: LimbRow, branches: 'remove' | 'move') => {
    setLeaving(null);
    change(withoutLimb(limb, limbs, branches));
  };
  const add = (column: string) => {
    change([...limbs, nextLimb(limbs)]);
    focus(limbs.length, column);
  };
  const keys = (event: React.KeyboardEvent, row: number, column: string) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      if (row === limbs.length - 1) add('at_cm');
      else focus(row + 1, column);
    } else if (event.key === 'ArrowDown' && row < limbs.length - 1) {
      event.preventDefault();
      focus(row + 1, column);
    } else if (event.key === 'ArrowUp' && row > 0) {
      event.preventDefault();
      focus(row - 1, column);
    }
  };
  const faultsOf = (row: number) => [...faults].filter(([field]) => field.startsWith(`limbs[${row}]`));
  return (
    <div>
      <div className="relative overflow-x-auto">
        <table ref={table} className="w-full border-collapse text-[14.5px]">
          <caption className="sr-only">{say('limb-grid.limbs-of-the-tree')}</caption>
          <thead>
            <tr className="border-b border-ink text-left text-[12.5px] text-muted">
              {COLUMNS.map((column) => (
                <th key={column.field} className="py-1 pr-1 font-normal">
                  {column.name} {isUnit(column.unit) ? unitSign(column.unit) : column.unit}
                </th>
              ))}
              <th className="py-1 pr-1 font-normal">{say('limb-grid.taken-for')}</th>
              <th className="py-1 pr-1 font-normal">{say('limb-grid.condition')}</th>
              <th className="py-1 font-normal">
                <span className="sr-only">{say('limb-grid.more')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {limbs.map((limb, row) => {
              const wrong = faultsOf(row);
              const open = chosen === limb.key;
              const odd = questionsAbout(limb.id, queries);
              const branches = leaving === limb.key ? branchesOf(limb.id, limbs) : [];
              return [
                <tr
                  key={limb.key}
                  className={`border-b border-line ${open ? 'bg-sand' : ''}`}
                  onFocus={() => {
                    if (chosen !== limb.key) onChoose(limb.key);
                  }}
                >
                  {COLUMNS.map((column) => {
                    const fault = faults.get(`limbs[${row}].${column.field}`);
                    return (
                      <td key={column.field} className="py-0.5 pr-1">
                        <MeasureInput
                          data-cell={`${row}-${column.field}`}
                          aria-label={say('limb-grid.name-of-limb-id', {
                            name: column.name,
                            id: limb.id || row + 1,
                          })}
                          aria-invalid={fault !== undefined}
                          inputMode={column.field === 'id' || column.field === 'parent' ? 'text' : 'decimal'}
                          value={column.field === 'parent' ? shownParent(limb.parent) : limb[column.field]}
                          unit={unitOfField(column.field)}
                          change={(value) => {
                            set(row, { [column.field]: column.field === 'parent' ? parentOf(value) : value });
                          }}
                          onKeyDown={(event) => {
                            keys(event, row, column.field);
                          }}
                          className={`min-h-8 ${column.width} rounded-sm border bg-paper px-1 ${fault ? 'border-2 border-lichen' : 'border-muted/40'}`}
                        />
                      </td>
                    );
                  })}
                  <td className="py-0.5 pr-1">
                    <select
                      aria-label={say('limb-grid.what-limb-id-is-taken', { id: limb.id })}
                      value={limb.role}
                      onChange={(event) => {
                        set(row, { role: event.target.value });
                      }}
                      className="min-h-8 w-32 rounded-sm border border-muted/40 bg-paper"
                    >
                      {ROLES.map((role) => (
                        <option key={role} value={role}>
                          {role === '' ? say('limb-grid.not-said') : term(role)}
                        </option>
                      ))}
                    </select>
                  </td>
                  <td className="py-0.5 pr-1">
                    <select
                      aria-label={say('limb-grid.condition-of-limb-id', { id: limb.id })}
                      value={limb.condition}
                      onChange={(event) => {
                        set(row, { condition: event.target.value });
                      }}
                      className={`min-h-8 w-22 rounded-sm border border-muted/40 bg-paper ${limb.condition === 'sound' ? '' : 'font-semibold text-lichen'}`}
                    >
                      {CONDITIONS.map((condition) => (
                        <option key={condition} value={condition}>
                          {term(condition)}
                        </option>
                      ))}
                    </select>
                  </td>
                  <td className="py-0.5 text-right">
                    <button
                      type="button"
                      aria-label={say('limb-grid.remove-limb-id-from-the', { id: limb.id })}
                      title={say('limb-grid.remove')}
                      className="min-h-8 min-w-8 text-muted hover:text-ink"
                      onClick={() => {
                        if (branchesOf(limb.id, limbs).length === 0) remove(limb, 'remove');
                        else setLeaving(limb.key);
                      }}
                    >
                      ✕
                    </button>
                  </td>
                </tr>,
                ...(wrong.length > 0
                  ? [
                      <tr key={`${limb.key}-faults`}>
                        <td colSpan={12} className="pb-1.5">
                          {wrong.map(([field, message]) => (
                            <p key={field} role="alert" className="text-[13px] font-semibold text-lichen">
                              {nameOf(field)}: {message}
                            </p>
                          ))}
                        </td>
                      </tr>,
                    ]
                  : []),
                ...(branches.length > 0
                  ? [
                      <tr key={`${limb.key}-leaving`} className="bg-lichen-wash">
                        <td colSpan={12} className="px-2 py-2">
                          <p role="alert" className="text-[14px]">
                            {say('limb-grid.limb-id-carries-limbs-branches', {
                              id: limb.id,
                              length: branches.length,
                              branches: branches.map((one) => one.id).join(', '),
                            })}
                          </p>
                          <span className="mt-1 flex flex-wrap gap-2">
                            <Button
                              onClick={() => {
                                remove(limb, 'remove');
                              }}
                            >
                              {say('limb-grid.remove-them-too', { length: branches.length })}
                            </Button>
                            <Button
                              onClick={() => {
                                remove(limb, 'move');
                              }}
                            >
                              {say('limb-grid.keep-growing-from-part', {
                                part:
                                  limb.parent === TRUNK
                                    ? say('limb-grid.the-trunk')
                                    : say('limb-grid.limb-parent', { parent: limb.parent }),
                              })}
                            </Button>
                            <Button
                              onClick={() => {
                                setLeaving(null);
                              }}
                            >
                              {say('limb-grid.cancel')}
                            </Button>
                          </span>
                        </td>
                      </tr>,
                    ]
                  : []),
                ...(odd.length > 0
                  ? [
                      <tr key={`${limb.key}-odd`}>
                        <td colSpan={12} className="pb-1.5">
                          {odd.map((words) => (
                            <p key={words} role="status" className="text-[13px] text-lichen">
                              {words} {say('limb-grid.is-that-right')}
                            </p>
                          ))}
                        </td>
                      </tr>,
                    ]
                  : []),
                ...(open
                  ? [
                      <tr key={`${limb.key}-wood`} className="border-b border-line bg-sand">
                        <td colSpan={12} className="px-2 pt-1 pb-3">
                          <SmallWood
                            limb={limb}
                            change={(next) => {
                              set(row, next);
                            }}
                          />
                        </td>
                      </tr>,
                    ]
                  : []),
              ];
            })}
          </tbody>
        </table>
      </div>
      {limbs.length === 0 && <p className="py-4 text-muted">{say('limb-grid.no-limb-yet-begin-with')}</p>}
      <Button
        className="mt-3"
        weight="ink"
        onClick={() => {
          add('at_cm');
        }}
      >
        {say('limb-grid.next-limb')}
      </Button>
      <span className="ml-3 text-[13px] text-muted">{say('limb-grid.enter-in-the-last-row')}</span>
    </div>
  );
}

function nameOf(field: string): string {
  const last = field.split('.').slice(1).join('.');
  return COLUMNS.find((column) => column.field === last)?.name ?? last.replace(/_.*/, '');
}
