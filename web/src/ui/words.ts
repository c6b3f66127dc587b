import { term } from '../text/term';
import { locale } from '../text/language';
import { say } from '../text/say';
/** The stages of the work, as they are said at the tree. */
export const STAGE_WORDS: Record<string, string> = {
  get suckers() {
    return say('words.from-below-the-union');
  },
  get unsound() {
    return say('words.nobody-argues-about-these');
  },
  get frame() {
    return say('words.the-frame-big-cuts-first');
  },
  get uprights() {
    return say('words.uprights-and-hangers');
  },
  get renewal() {
    return say('words.young-wood-for-old');
  },
  get detail() {
    return say('words.detail');
  },
  get train() {
    return say('words.bend-what-stays');
  },
  get crop() {
    return say('words.the-crop');
  },
};

/** Whether a time of the year suits the work. */
export const TIMING_WORDS: Record<string, string> = {
  get allowed() {
    return say('plan-panel.allowed-now');
  },
  get better() {
    return say('plan-panel.a-good-time');
  },
  get best() {
    return say('plan-panel.the-best-time');
  },
  get not() {
    return say('plan-panel.not-now');
  },
};

/** Lines of a school in plain words. */
export const LINE_WORDS: Record<string, string> = {
  get rivalDiameterRatio() {
    return say('words.second-top-thickness-against-the');
  },
  get rivalInclination_deg() {
    return say('words.second-top-lean-under');
  },
  get rivalHeightShare() {
    return say('words.second-top-height-against-the');
  },
  get limbRatio() {
    return say('words.limb-against-the-stem-it');
  },
  get crotchAngle_deg() {
    return say('words.tight-crotch-under');
  },
  get heldCrotchAngle_deg() {
    return say('words.the-same-on-a-union');
  },
  get stackBearing_deg() {
    return say('words.stacked-bearings-within');
  },
  get stackLight() {
    return say('words.stacked-lower-limbs-light-under');
  },
  get crossingClearance_cm() {
    return say('words.crossing-clearance-cm');
  },
  inwardAngle_deg: 'inward: within, °',
  get sproutLength_cm() {
    return say('words.water-sprout-longer-than-cm');
  },
  get sproutInclination_deg() {
    return say('words.water-sprout-lean-under');
  },
  get lightForFruit() {
    return say('words.light-that-fruit-needs');
  },
  get lightForFlowers() {
    return say('words.light-that-flower-buds-need');
  },
  get shadedShareMost() {
    return say('words.shaded-fruiting-wood-most');
  },
  get crowdingFactor() {
    return say('words.crowding-times-the-kinds-own');
  },
  get bareSectorFactor() {
    return say('words.bare-side-times-an-even');
  },
  get bareSectorOfThree_deg() {
    return say('words.bare-side-with-three-limbs');
  },
  get coneShare() {
    return say('words.upper-tiers-reach-against-the');
  },
  get boxAllowance_cm() {
    return say('words.out-of-its-room-by');
  },
  get boxGapShare() {
    return say('words.room-left-empty-most');
  },
  get lopSidedShare() {
    return say('words.lop-sided-from');
  },
  get oldShareMost() {
    return say('words.old-wood-most');
  },
  get movedOutShare() {
    return say('words.fruiting-wood-out-along-the');
  },
  get movedOutAYear_cm() {
    return say('words.fruiting-wood-moves-cm-a');
  },
  get vigourShare() {
    return say('words.growth-targets-times-the-kinds');
  },
  get overCropRatio() {
    return say('words.buds-against-what-can-be');
  },
  get underCropRatio() {
    return say('words.buds-against-what-can-be-2');
  },
  get scionRootedRatio() {
    return say('words.trunk-against-its-row-most');
  },
  get dropClearance_cm() {
    return say('words.tip-under-crop-lowest-cm');
  },
  get woodShareFactor() {
    return say('words.small-wood-to-take-times');
  },
  get bigCutsFactor() {
    return say('words.big-cuts-times-the-usual');
  },
  get bendBeforeCut() {
    return say('words.bend-before-cutting');
  },
  get bench() {
    return say('words.bench-cuts-allowed');
  },
  get dressWounds() {
    return say('words.dress-wounds');
  },
  get paintBared() {
    return say('words.paint-bared');
  },
  get cleanEveryTree() {
    return say('words.clean-every-tree');
  },
  get chopPrunings() {
    return say('words.chop-prunings');
  },
  get shortenLongShoots() {
    return say('words.shorten-long-shoots');
  },
  get headLeader() {
    return say('words.head-leader');
  },
  get scaffoldLean_deg() {
    return say('words.scaffold-lean');
  },
  get renewalFactor() {
    return say('words.renewal-factor');
  },
  get renovationWinters() {
    return say('words.renovation-winters');
  },
};

export const SEVERITY_WORDS: Record<string, string> = {
  get act() {
    return term('act');
  },
  get consider() {
    return term('consider');
  },
  get watch() {
    return term('watch');
  },
};

/** A share as whole per cent, as the language writes it. */
export function percent(share: number): string {
  return new Intl.NumberFormat(locale(), { style: 'percent' }).format(share);
}

/** Minutes as a person says them. */
export function minutes(count: number): string {
  return count < 1 ? say('words.under-a-minute') : say('words.count-min', { count: Math.round(count) });
}

/** A day in the reader's own way of writing. */
export function day(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString(locale(), {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  });
}

/** How a step stands on the sure side. */
export function sureness(confidence: number): string {
  return say('words.confidence-sure', { confidence: Math.round(confidence * 100) });
}

/** A word as it stands at the head of a line. */
export function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}

/** Several things in a row, as the language joins them: “one, two and three”. */
export function listed(things: readonly string[]): string {
  return new Intl.ListFormat(locale(), { style: 'long', type: 'conjunction' }).format(things);
}
