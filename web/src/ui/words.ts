/** The stages of the work, as they are said at the tree. */
export const STAGE_WORDS: Record<string, string> = {
  suckers: 'From below the union',
  unsound: 'Nobody argues about these',
  frame: 'The frame, big cuts first',
  uprights: 'Uprights and hangers',
  renewal: 'Young wood for old',
  detail: 'Detail',
  train: 'Bend what stays',
  crop: 'The crop',
};

/** Lines of a school in plain words. */
export const LINE_WORDS: Record<string, string> = {
  rivalDiameterRatio: 'second top: thickness against the leader',
  rivalInclination_deg: 'second top: lean under, °',
  rivalHeightShare: 'second top: height against the leader',
  limbRatio: 'limb against the stem it grows from',
  crotchAngle_deg: 'tight crotch under, °',
  heldCrotchAngle_deg: 'the same on a union of years, °',
  stackBearing_deg: 'stacked: bearings within, °',
  stackLight: 'stacked: lower limb’s light under',
  crossingClearance_cm: 'crossing: clearance, cm',
  inwardAngle_deg: 'inward: within, °',
  sproutLength_cm: 'water sprout: longer than, cm a year',
  sproutInclination_deg: 'water sprout: lean under, °',
  lightForFruit: 'light that fruit needs',
  lightForFlowers: 'light that flower buds need',
  shadedShareMost: 'shaded fruiting wood, most',
  crowdingFactor: 'crowding, times the kind’s own most',
  bareSectorFactor: 'bare side: times an even share',
  bareSectorOfThree_deg: 'bare side with three limbs, °',
  coneShare: 'upper tier’s reach against the lower',
  boxAllowance_cm: 'out of its room by more than, cm',
  boxGapShare: 'room left empty, most',
  lopSidedShare: 'lop-sided from',
  oldShareMost: 'old wood, most',
  movedOutShare: 'fruiting wood out along the limbs, most',
  movedOutAYear_cm: 'fruiting wood moves, cm a year',
  vigourShare: 'growth targets, times the kind’s own',
  overCropRatio: 'buds against what can be carried, most',
  underCropRatio: 'buds against what can be carried, least',
  scionRootedRatio: 'trunk against its row, most',
  dropClearance_cm: 'tip under crop, lowest, cm',
  woodShareFactor: 'small wood to take, times the kind’s own most',
  bigCutsFactor: 'big cuts, times the usual',
  bendBeforeCut: 'bend before cutting',
  bench: 'bench cuts allowed',
};

export const SEVERITY_WORDS: Record<string, string> = { act: 'act', consider: 'consider', watch: 'watch' };

/** A share as whole per cent. */
export function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

/** Minutes as a person says them. */
export function minutes(count: number): string {
  return count < 1 ? 'under a minute' : `${Math.round(count)} min`;
}

/** A day in the reader's own way of writing. */
export function day(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString(undefined, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  });
}

/** How a step stands on the sure side. */
export function sureness(confidence: number): string {
  return `${Math.round(confidence * 100)} % sure`;
}

/** A word as it stands at the head of a line. */
export function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}
