/** What a finding means, what to do, and what a common mistake looks like; the drawing that goes with it is named. */
export interface RulePage {
  rule: string;
  sees: string;
  why: string;
  does: string;
  figure: Figure;
}

/** A drawing as strokes on a 100 by 100 field: wood, wood that is meant (marked), light or fruit, a line to measure by. */
export interface Figure {
  wood: string[];
  marked?: string[];
  dots?: [number, number, 'fruit' | 'light' | 'shade'][];
  line?: string[];
}

const TRUNK = 'M50 98 L50 6';

/** Every finding, in the order of the work. */
export const RULES: RulePage[] = [
  {
    rule: 'root-sucker',
    sees: 'A shoot from below the union or from the roots.',
    why: 'It is rootstock: it takes from the top and never bears what was planted.',
    does: 'Tear or cut it off at its origin, the sooner the easier.',
    figure: {
      wood: [TRUNK, 'M50 40 L78 20', 'M50 50 L22 28'],
      marked: ['M50 90 L64 62', 'M50 93 L38 70'],
      line: ['M40 84 L60 84'],
    },
  },
  {
    rule: 'scion-rooted',
    sees: 'One tree far stronger than its row, on a dwarfing stock.',
    why: 'Soil over the union lets the top root by itself; the stock no longer holds it back.',
    does: 'Bare the union. Cut roots above it, lower the soil; plan its size as a strong tree’s.',
    figure: {
      wood: ['M22 90 L22 52', 'M80 90 L80 52', 'M22 66 L12 56', 'M80 66 L90 56'],
      marked: ['M50 96 L50 18', 'M50 52 L28 34', 'M50 44 L74 24'],
      line: ['M6 90 L94 90'],
    },
  },
  {
    rule: 'unsound-wood',
    sees: 'Dead, broken, split, girdled or diseased wood.',
    why: 'Nobody argues about these; rot and disease travel, and the rest is easier to see after.',
    does: 'Back to sound wood at a union, in dry weather; well below what shows where it is a disease.',
    figure: { wood: [TRUNK, 'M50 46 L80 30'], marked: ['M50 62 L30 50 L24 52 L28 46 L14 38'] },
  },
  {
    rule: 'rival-leader',
    sees: 'A second top, nearly as thick, steep and as tall as the leader.',
    why: 'Two tops split apart at the fork and shade each other.',
    does: 'Take one at its base, or reduce it to a side branch. Do not spread a thick upright: it tears.',
    figure: {
      wood: [TRUNK, 'M50 70 L24 56', 'M50 78 L76 62'],
      marked: ['M50 54 L60 12'],
      line: ['M42 50 L58 50'],
    },
  },
  {
    rule: 'limb-too-thick',
    sees: 'A limb over half as thick as the stem it grows from.',
    why: 'It competes with the leader and its wound grows with every year you wait.',
    does: 'In a lasting frame, out or back; in a slender tree, a sloped cut that leaves the underside for a new, weaker limb.',
    figure: {
      wood: [TRUNK, 'M50 50 L26 38'],
      marked: ['M50 66 L84 46', 'M50 68 L84 48', 'M50 64 L84 44'],
      line: ['M44 72 L56 72'],
    },
  },
  {
    rule: 'tight-crotch',
    sees: 'A limb that leaves at a narrow angle.',
    why: 'Bark is caught in the fork; it splits under a crop and lets canker in.',
    does: 'Spread it while it is limber; take it when it is not, or when it has begun to split.',
    figure: {
      wood: [TRUNK, 'M50 56 L22 38'],
      marked: ['M50 72 L64 18'],
      line: ['M50 56 A16 16 0 0 1 54 56'],
    },
  },
  {
    rule: 'crowded-origin',
    sees: 'Main limbs leaving the trunk within a hand of each other.',
    why: 'Neither gets a sound union, and together they choke the leader.',
    does: 'Keep the better placed one.',
    figure: {
      wood: [TRUNK, 'M50 66 L22 48'],
      marked: ['M50 62 L80 44'],
      line: ['M40 66 L60 66', 'M40 62 L60 62'],
    },
  },
  {
    rule: 'stacked-limbs',
    sees: 'One limb straight above another, the lower in its shade.',
    why: 'The lower one loses its flower buds first, then its wood.',
    does: 'Remove one, usually the upper.',
    figure: {
      wood: [TRUNK, 'M50 74 L86 58'],
      marked: ['M50 52 L86 36'],
      dots: [
        [66, 68, 'shade'],
        [76, 63, 'shade'],
      ],
    },
  },
  {
    rule: 'bare-sector',
    sees: 'A side of the tree where no main limb stands.',
    why: 'Light falls through to the ground there, year after year.',
    does: 'Keep what grows into the gap, bend a neighbour into it, or head beside it to make a branch.',
    figure: {
      wood: ['M50 50 L50 12', 'M50 50 L84 42', 'M50 50 L70 82'],
      line: ['M50 50 L14 66', 'M50 50 L16 34'],
      dots: [[50, 50, 'shade']],
    },
  },
  {
    rule: 'crossing',
    sees: 'Limbs that rub, or will within a year.',
    why: 'Rubbing opens bark; both get worse.',
    does: 'Remove the worse placed one.',
    figure: { wood: [TRUNK, 'M50 70 L84 40'], marked: ['M50 46 L80 62'] },
  },
  {
    rule: 'inward',
    sees: 'A branch that heads back towards the trunk.',
    why: 'It stands in everybody’s light and soon crosses something.',
    does: 'Remove it; shorten it only where it carries fruit and harms nothing.',
    figure: { wood: [TRUNK, 'M50 72 L88 48'], marked: ['M76 55 L56 30'] },
  },
  {
    rule: 'over-height',
    sees: 'A top above what your reach and the system allow.',
    why: 'A picker on the ground does twice the work of one on a ladder; spray and light do not reach.',
    does: 'Back to a weaker side branch, once it has fruited and calmed; a tall tree over several winters.',
    figure: {
      wood: ['M50 98 L50 34', 'M50 60 L24 44', 'M50 52 L78 34'],
      marked: ['M50 34 L50 4'],
      line: ['M20 28 L80 28'],
    },
  },
  {
    rule: 'lost-cone',
    sees: 'An upper tier that reaches as far as the one below.',
    why: 'An umbrella shades itself; a cone lays its light out evenly.',
    does: 'Shorten above to a side branch, or renew above.',
    figure: {
      wood: [TRUNK, 'M50 78 L28 64', 'M50 78 L72 64'],
      marked: ['M50 42 L12 24', 'M50 42 L88 24'],
      line: ['M28 64 L28 94', 'M72 64 L72 94'],
    },
  },
  {
    rule: 'out-of-box',
    sees: 'A limb in the aisle, in its neighbour, or out of its wall.',
    why: 'It is broken by what passes and shades what it reaches into.',
    does: 'Back into older wood at a fruitful branch inside, or renew it.',
    figure: {
      wood: [TRUNK, 'M50 70 L28 56', 'M50 56 L66 46'],
      marked: ['M66 46 L96 32'],
      line: ['M70 8 L70 96', 'M20 8 L20 96'],
    },
  },
  {
    rule: 'lop-sided',
    sees: 'Wood and crop pulling to one side.',
    why: 'The tree leans, roots lift, and one side starves the other.',
    does: 'Lighten the heavy side moderately; take nothing from the light one.',
    figure: { wood: [TRUNK, 'M50 64 L32 54'], marked: ['M50 74 L94 52', 'M50 56 L90 30', 'M50 40 L82 14'] },
  },
  {
    rule: 'will-drop',
    sees: 'A limb whose tip will hang too low under its crop.',
    why: 'Fruit on the ground, in the aisle, and in the shade of its own limb.',
    does: 'Shorten to an upward branch, tie it up, or remove it.',
    figure: {
      wood: [TRUNK, 'M50 60 L24 46'],
      marked: ['M50 72 Q76 66 90 90'],
      dots: [
        [76, 74, 'fruit'],
        [84, 82, 'fruit'],
        [90, 90, 'fruit'],
      ],
      line: ['M8 86 L94 86'],
    },
  },
  {
    rule: 'shade',
    sees: 'Fruiting wood that gets under 30 % of open light.',
    why: 'Leaves below that do not pay their way: fruit stays small and pale, buds die, then wood.',
    does: 'Open windows from above: few large decisions rather than many small cuts.',
    figure: {
      wood: [TRUNK, 'M50 76 L16 60', 'M50 76 L84 60'],
      marked: ['M50 40 L18 26', 'M50 40 L82 26'],
      dots: [
        [26, 64, 'shade'],
        [36, 69, 'shade'],
        [64, 69, 'shade'],
        [74, 64, 'shade'],
        [50, 14, 'light'],
      ],
    },
  },
  {
    rule: 'water-sprout',
    sees: 'Vigorous uprights from the top of a limb or near an old cut.',
    why: 'They are the answer to a hard cut; they shade and do not fruit.',
    does: 'Off by hand in June; keep one only to renew a limb or fill a gap.',
    figure: { wood: [TRUNK, 'M50 70 L92 54'], marked: ['M62 65 L62 24', 'M72 61 L73 18', 'M82 58 L84 26'] },
  },
  {
    rule: 'hanger',
    sees: 'Wood that hangs, or grows from an underside.',
    why: 'It stands in the shade of its own limb; fruit stays small.',
    does: 'Remove it, or lift back to an upward branch.',
    figure: { wood: [TRUNK, 'M50 56 L88 42'], marked: ['M66 50 L74 80', 'M78 46 L86 70'] },
  },
  {
    rule: 'old-wood',
    sees: 'Spurs or limbs past the age at which they bear well.',
    why: 'Old spurs crowd, weaken and bear small fruit.',
    does: 'Renew about a fifth a year, the oldest and darkest first, so that none grows too old.',
    figure: {
      wood: [TRUNK, 'M50 70 L90 56', 'M50 50 L14 38'],
      marked: ['M64 65 L62 58 L66 55 L63 50', 'M76 61 L75 54 L79 51 L76 46'],
    },
  },
  {
    rule: 'wood-moved-out',
    sees: 'Fruiting wood that has climbed up and out, bare inside.',
    why: 'It follows the light; each year fruit hangs further from the frame and higher.',
    does: 'Renew low and close to the frame; head a few low shoots to bring wood back.',
    figure: {
      wood: [TRUNK, 'M50 74 L92 36', 'M50 74 L8 36'],
      dots: [
        [88, 34, 'fruit'],
        [94, 30, 'fruit'],
        [12, 34, 'fruit'],
        [6, 30, 'fruit'],
      ],
      line: ['M60 66 L76 50'],
    },
  },
  {
    rule: 'crowding',
    sees: 'More one-year shoots on a limb than can stand in light.',
    why: 'Light falls 30 to 45 cm into a thicket; the rest is fed for nothing.',
    does: 'Thin to the best placed, well-sized ones; leave ends single.',
    figure: {
      wood: [TRUNK, 'M50 66 L94 50'],
      marked: [
        'M60 62 L58 40',
        'M66 60 L70 36',
        'M72 58 L70 34',
        'M78 56 L84 34',
        'M84 53 L82 32',
        'M64 61 L74 44',
      ],
    },
  },
  {
    rule: 'over-crop',
    sees: 'Flower buds for more fruit than trunk and leaf can finish.',
    why: 'Heavy year, empty year: the crop takes what next year’s buds are made of.',
    does: 'Pruning is the first thinning: take poor fruiting wood. Then thin by hand to a hand’s width.',
    figure: {
      wood: [TRUNK, 'M50 60 L90 46', 'M50 60 L10 46'],
      dots: [
        [60, 57, 'fruit'],
        [66, 55, 'fruit'],
        [72, 52, 'fruit'],
        [78, 50, 'fruit'],
        [84, 48, 'fruit'],
        [40, 57, 'fruit'],
        [34, 55, 'fruit'],
        [28, 52, 'fruit'],
        [22, 50, 'fruit'],
        [16, 48, 'fruit'],
      ],
    },
  },
  {
    rule: 'under-crop',
    sees: 'A bearing tree with few flower buds.',
    why: 'Shade, too hard cutting or too heavy a last crop; what is not spent on fruit goes into wood.',
    does: 'Spare what bears; let light in; bend rather than cut.',
    figure: { wood: [TRUNK, 'M50 60 L90 46', 'M50 60 L10 46', 'M50 40 L70 24'], dots: [[74, 52, 'fruit']] },
  },
  {
    rule: 'over-vigour',
    sees: 'Longer growth than its kind and age should make.',
    why: 'A tree that grows like this does not flower; hard winter cuts feed it.',
    does: 'Cut late or in summer, and less; bend; let it crop; feed nothing.',
    figure: {
      wood: [TRUNK, 'M50 70 L76 58'],
      marked: ['M76 58 L96 20', 'M50 6 L50 30'],
      line: ['M84 58 L84 44'],
    },
  },
  {
    rule: 'under-vigour',
    sees: 'Shorter growth than its kind and age should make.',
    why: 'Weak wood bears small fruit and does not renew itself.',
    does: 'Cut in winter, thin old spurs, carry less crop, look to roots and water.',
    figure: {
      wood: [TRUNK, 'M50 66 L82 54', 'M50 50 L20 38'],
      marked: ['M82 54 L88 51', 'M20 38 L14 35'],
      line: ['M82 60 L98 54'],
    },
  },
  {
    rule: 'box-not-filled',
    sees: 'Room along the row still empty after the filling years.',
    why: 'Land without leaf earns nothing.',
    does: 'Encourage: head the ends, carry less crop, do not flatten yet.',
    figure: {
      wood: [TRUNK, 'M50 70 L66 58', 'M50 62 L36 50'],
      line: ['M8 10 L8 96', 'M92 10 L92 96'],
      marked: ['M66 58 L86 44', 'M36 50 L14 36'],
    },
  },
];
