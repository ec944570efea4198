import { celsius, degrees, minutes, mm, percent, seconds } from '../step-numbers';
import { CLEAR_UP, PUT_BACK } from './glass-parts';
import { ONE_GO, OPEN_TIME } from './pauses';
import type { StepCase, StepTemplate, WorkTemplate } from './template';

const staysOut = ({ isOutside }: StepCase): boolean => isOutside;
const shrunk =
  (school: StepCase['schools']['shrink']) =>
  ({ schools }: StepCase): boolean =>
    schools.shrink === school;
/** Each fold of the plan is a round; while there is no plan, all of them are one. */
const foldsOf = ({ folds }: StepCase): number => folds ?? 1;
const HOT = {
  tools: ['heat gun', 'felt-edged card', 'heat glove', 'residual-current breaker'],
  cautions: ['heatGun', 'coldGlass', 'smoke', 'gunAndSpray', 'hurtWindscreen', 'vehicleParts'],
  shared: ['heat gun'],
  skill: 'heat',
  needsFit: true,
} as const satisfies Partial<StepTemplate>;
const GUN = { warm: seconds([20, 30]), gun: celsius([480, 540]) };
const COOLS = { least: 5, most: 60, why: 'let glass and film cool, then judge it while it hangs there' };

const BEFORE: readonly StepTemplate[] = [
  {
    key: 'edge-gate',
    what: 'The factory edge lies along the top or the bottom of the blank. If it lies at a side: stop.',
    why: 'Film shrinks one way only: turned by a quarter its folds do not go down.',
    right: 'The straight, uncut edge is the top or the bottom.',
    tools: [],
    cautions: [],
    takes: ['work-remeasure'],
  },
  {
    key: 'reach',
    what: 'Wiper and trim: propped, or stay above them. Lamp and trim off or eased, and logged. Lead carried round the body, off the paint. Gun, card and hand reach everywhere?',
    why: 'A corner that the gun does not reach stays a finger.',
    tools: ['thin card', 'screwdriver'],
    cautions: ['sockets', 'hurtWindscreen', 'vehicleParts'],
    takes: ['work-protect'],
  },
  {
    key: 'clean-outside',
    what: 'Clean outside and surroundings; nothing under the pattern, feel it.',
    variants: [
      {
        school: 'shrinkOn',
        says: {
          'wet glass': 'Wet it.',
          'soap powder':
            'Rub a thin film of oil-free soap dry to powder, {powder} for a rear window, half by half.',
        },
      },
    ],
    why: 'The film must slide while it shrinks.',
    numbers: ({ schools }) => (schools.shrinkOn === 'soap powder' ? { powder: seconds([30, 60]) } : {}),
    tools: ['scraper', 'cleaner', 'cloth'],
    cautions: ['blade', 'wetFloor'],
    takes: ['work-clean'],
    needsFit: true,
  },
  {
    key: 'anchor',
    what: 'Blank on the outside, liner outwards, lifted {seal} off the bottom seal, about {side} clear of the long side.',
    variants: [
      {
        school: 'hold',
        says: {
          'along the top':
            'Hold it along the top edge, then arching strokes down both sides: all surplus gathers at the bottom.',
          'a line across':
            'Hold it by a line across, placed where folds above and below come out equal: lower when the bottom curves more, higher when the top does. Then down the sides.',
        },
      },
    ],
    why: 'Equal folds shrink alike; heat near the seal cooks it.',
    right: 'Folds of one size. No fold comes by itself: pinch about three together on purpose.',
    numbers: { seal: mm([25, 50]), side: mm(13, 'uncertain') },
    tools: ['felt-edged card', 'pump sprayer'],
    cautions: ['wetFloor'],
    slip: 'wet the pane',
    takes: ['work-handling', 'work-folds'],
    crew: 'large',
    skill: 'film',
    needsFit: true,
    then: { least: 0, most: 10, why: 'the folds are shrunk while they stand' },
  },
];

const SHRINKING: readonly StepTemplate[] = [
  {
    ...HOT,
    key: 'shrink-folds',
    what: 'Sweep surplus water out, keep some for hold. Gun on high, {warm} to warm up, {gun}, never above. Each fold: tip first, gun about {away} off at {angle}, nearer at the thick end, small circles, never still. Split what is too big. Pass over again: what pops up gets a little more.',
    why: 'Pressed too soon it creases; too long, it hazes.',
    right: 'It wrinkles finely and softens; press it down with a felt-edged card.',
    wrong:
      'A sharp line: it was pressed too soon. Heat at once may save it; a line that stays is a new blank.',
    numbers: { ...GUN, away: mm(150), angle: degrees(45) },
    takes: ['work-shrink'],
    rounds: foldsOf,
    heatsFolds: true,
    when: shrunk('fold by fold'),
    then: COOLS,
  },
  {
    ...HOT,
    key: 'shrink-tug',
    what: 'Gun on high, {warm} to warm up, {gun}, never above. Lift the film and pull lightly where it is heated, {away} off at {angle}: it lies down almost without the card.',
    why: 'A little tension turns the heat into shrink; too much stretches.',
    right: 'It lies down by itself as it warms.',
    numbers: { ...GUN, away: mm(150), angle: degrees(45) },
    takes: ['work-shrink'],
    rounds: foldsOf,
    heatsFolds: true,
    when: shrunk('tug'),
    then: COOLS,
  },
  {
    ...HOT,
    key: 'shrink-sweep',
    what: 'Free the lower corner on the long side, knuckles on the glass, keep tension: lift until about {curve} of film curves off. Gun on high, {warm} to warm up, {gun}, never above. From afar nearer to {away}, moving, aimed at the lower edge of the film.',
    why: 'Quick for slight curves. Learn folds first.',
    right: 'It hangs even and taut.',
    wrong: 'Lines turn wild and tight: over-shrunk, replace.',
    numbers: { ...GUN, curve: mm([75, 100], 'uncertain'), away: mm([180, 200]) },
    tools: [...HOT.tools, 'gloves'],
    takes: ['work-sweep'],
    when: shrunk('one sweep'),
    then: COOLS,
  },
  {
    ...HOT,
    key: 'shrink-twice',
    what: 'Gun on high, {warm} to warm up, {gun}, never above. Folds down; film lifted, air under it; sides down; once more over everything.',
    why: 'The second pass finds what the first left.',
    basis: 'second hand',
    numbers: GUN,
    takes: ['work-shrink'],
    rounds: () => 2,
    when: shrunk('two passes'),
    then: COOLS,
  },
  {
    ...HOT,
    key: 'shrink-thick',
    what: 'Largest middle fold first: soften the open edge until the air jet folds it. Dimples beside it appear: now up one flank, over, down the other. Close ovals through the body, the open edge kept soft, heat even everywhere. Two branches at its head: press through, split, each half the same; the open edge last. Press only when soft.',
    why: 'Held back, the body only warms; a hard open edge keeps its fold.',
    right: 'Soft all over, down without force.',
    wrong: 'How the side surplus is taken in the second stage is not known: ask.',
    basis: 'once',
    takes: ['work-shrink'],
    rounds: foldsOf,
    heatsFolds: true,
    when: shrunk('thick film, open edge first'),
    then: COOLS,
  },
  {
    key: 'gun-cools',
    what: 'Gun off and parked upright. It cools {cools} before it is packed.',
    why: 'A parked gun sets fire to what lies against it.',
    numbers: { cools: minutes(10) },
    tools: ['heat gun'],
    cautions: ['heatGun'],
    shared: ['heat gun'],
    skill: 'heat',
    takes: ['work-park-gun'],
  },
  {
    key: 'test-outside',
    what: 'Spray and sweep out as if it were inside. Folds that stay: only that place is lifted and warmed.',
    why: 'What does not lie outside will not lie inside.',
    right: 'No fold, no light gap along the edge.',
    wrong: 'Wild tight lines: over-shrunk, replace. Haze: burnt, replace.',
    tools: ['pump sprayer', 'felt-edged card'],
    cautions: ['wetFloor', 'photosOfHomes'],
    takes: ['work-squeeze'],
    skill: 'film',
    needsFit: true,
    wants: ['photo'],
  },
  {
    key: 'trim-outside',
    what: 'Trim to the edge of the glass, long sides first.',
    why: 'Here one sees the edge that will be inside.',
    tools: ['snap-off blade', 'trimming card'],
    cautions: ['blade', 'bladePoints'],
    takes: ['work-trim'],
    skill: 'film',
    needsFit: true,
  },
];

/** Thin film is carried indoors once it has its shape. */
const INSIDE = (
  [
    {
      key: 'clean-inside',
      what: 'Clean the inside with an alcohol cleaner of {strength}, edges and trim too; dry, then slip. Ease overlapping trim with a thin card. Heater lines and aerial: no blade and no wool across, pad along them.',
      why: 'What is under the trim comes out with the water.',
      numbers: { strength: percent(33) },
      tools: ['scraper', 'non-scratch pad', 'cleaner', 'card'],
      cautions: ['blade', 'coatedFace', 'wetFloor', 'heaterLines', 'closedCar'],
      takes: ['work-clean'],
      needsFit: true,
      then: { least: 0, most: 45, why: 'dust settles on clean glass' },
    },
    {
      key: 'roll-in',
      what: 'Roll it up so that the end to be placed first is free. Wet well. Lay it from that end; overhead the liner may stay on as a carrier.',
      why: 'Shrunk film keeps its shape only when it is not bent sharply.',
      tools: ['pump sprayer', 'liner bin'],
      cautions: ['liner', 'wetFloor', 'vehicleParts'],
      slip: 'wet glass and film',
      takes: ['work-handling', 'work-fit-curved'],
      crew: 2,
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      then: OPEN_TIME,
    },
    {
      key: 'press-inside',
      what: 'By hand only until no light gap is left. Centre across, up and down, then four quarters; at the top water goes sideways, not up. Second hard pass. Never a hard card bare.',
      why: 'A bare card scratches the inside face.',
      right: 'No light gap along any edge.',
      tools: ['felt-edged card', 'pump sprayer'],
      cautions: ['wetFloor'],
      takes: ['work-squeeze'],
      skill: 'film',
      needsFit: true,
      then: ONE_GO,
    },
    {
      key: 'edge-folds',
      what: 'Wash powder off the outside, then judge. Edge fingers: blot; brief heat at top and bottom edges only, {away} away at the sides; stubborn ones from outside. Round once more after drying.',
      why: 'Wiper dirt and powder look like pockets.',
      right: 'Water out, the glue grips.',
      numbers: { away: mm(150) },
      tools: ['card', 'absorbent paper', 'heat gun', 'heat glove'],
      cautions: ['heatGun', 'coldGlass', 'gunAndSpray', 'smoke', 'hurtWindscreen'],
      shared: ['heat gun'],
      takes: ['work-edges', 'work-look'],
      skill: 'heat',
      needsFit: true,
    },
  ] as const satisfies readonly StepTemplate[]
).map((step): StepTemplate => ({
  ...step,
  when: (own) => !staysOut(own),
  leftOut: 'this film stays outside',
}));

/** Thick film made for the outside stays there. */
const OUTSIDE: readonly StepTemplate[] = [
  {
    key: 'press-outside',
    what: 'Stays outside, is never rolled in. When soft and cool: press out from the middle to the edges with a felt-edged card; the side surplus comes last.',
    why: 'Thick film keeps the shape it was given and creases when it is rolled.',
    basis: 'once',
    tools: ['felt-edged card', 'pump sprayer'],
    cautions: ['wetFloor'],
    takes: ['work-squeeze'],
    skill: 'film',
    needsFit: true,
    when: staysOut,
    then: ONE_GO,
  },
  {
    key: 'edges-outside',
    what: 'Blot all edges with a card wrapped in absorbent paper. Press them again. Look round once.',
    why: 'Outdoors water at an edge freezes, and wind finds it.',
    tools: ['card', 'absorbent paper', 'torch'],
    cautions: [],
    takes: ['work-edges', 'work-look'],
    skill: 'film',
    needsFit: true,
    when: staysOut,
  },
];

/** Curved glass: shrunk on the outside, fitted inside. */
export const CURVED: WorkTemplate = {
  template: 'curved',
  version: 1,
  of: [{ method: 'curved, shrunk' }],
  schools: ['shrink', 'shrinkOn', 'hold'],
  steps: [
    ...[...BEFORE, ...SHRINKING].map((step): StepTemplate => ({ ...step, standsOutside: true })),
    ...INSIDE,
    ...OUTSIDE,
    PUT_BACK,
    CLEAR_UP,
    {
      key: 'handover-curved',
      what: 'Say what is normal: small pockets clear by the date of this pane. Windows stay shut until then. Local rules on darkness apply.',
      why: 'A window wound down too soon takes the film along.',
      tools: [],
      cautions: ['glassAndFilm', 'freshFilm'],
      takes: ['work-handover'],
    },
  ],
};
