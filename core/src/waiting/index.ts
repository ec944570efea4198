export { bessel, cylinderLeft, cylinderRoots, cylinderWeight } from './cylinder';
export {
  type DryDays,
  type DryHours,
  type DryStretch,
  LEAST_DROP_KPA,
  clearingDay,
  clockDay,
  courseAt,
  dropOf,
  goesOnIn,
  stretchOf,
} from './dry-course';
export {
  DRYING_FORMULAS,
  type DryingCase,
  type LeftWater,
  clearBy,
  courseOf,
  doubtOfDrying,
  needOf,
  pocketBy,
  pocketNeedOf,
  usualWater,
} from './drying';
export {
  type DryingFilm,
  type Permeability,
  type VapourThrough,
  PERMEABILITY,
  VAPOUR_FORMULAS,
  vapourThrough,
} from './film-vapour';
export {
  type CureKind,
  type CureSpan,
  CURE_CONSTANT_DAYS,
  CURE_ENERGY_JMOL,
  bondShare,
  cureDays,
} from './cure';
export {
  type PocketLife,
  type VapourLayer,
  grownBy,
  inSeries,
  ordinaryStill,
  permeabilityAt,
  pocketLife,
  pocketWidth,
} from './pockets';
export {
  type CuringFilm,
  type FilmState,
  type LaidFilm,
  type MayDo,
  type MayKey,
  filmAt,
  halfDryDay,
  mayDoWhen,
} from './may-do';
export { type PocketOfShop, learnedWater } from './learned-water';
export { ROLL_FORMULAS, type RollWarming, rollWarming } from './roll';

export { type Air, type Never, type Wait, type WaitKey, type WaitState, waitStateOf } from './wait';
export { waitOf } from './wait-of';
export {
  WAIT_FORMULAS,
  conditionedRoom,
  firstBond,
  panelWarming,
  primerDry,
  promoterDry,
  puttyDry,
  sealantBack,
  wallDry,
  wantsWarmRoom,
} from './waits';
export {
  type OpenTime,
  OPEN_TIME_FORMULAS,
  type WaterOnIt,
  type WetCase,
  openTime,
  taughtWater,
  waterOnIt,
} from './open-time';
