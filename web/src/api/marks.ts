import type { Mark } from './client';

/** The name a step is known by between plan, marks and refusals: what and where. */
export function keyOf(mark: { operation?: string | undefined; limb?: string | undefined }): string {
  return `${mark.operation ?? ''}@${mark.limb ?? ''}`;
}

/** The measured limb a mark is on. */
export function limbOf(mark: { limb?: string | undefined }): string {
  return (mark.limb ?? '').split('/')[0] ?? '';
}

/** The mark a plan's step, alternative or option stands for. */
export function markFrom(step: {
  operation: string;
  limb: string;
  at_cm: number;
  toLimb?: string | null;
  toAngle_deg?: number | null;
  keep?: number | null;
}): Mark {
  return {
    operation: step.operation,
    limb: step.limb,
    ...(step.at_cm > 0 ? { at_cm: step.at_cm } : {}),
    ...(step.toLimb ? { toLimb: step.toLimb } : {}),
    ...(step.toAngle_deg != null ? { toAngle_deg: step.toAngle_deg } : {}),
    ...(step.keep != null ? { keep: step.keep } : {}),
  };
}
