export { bessel, cylinderLeft, cylinderRoots, cylinderWeight } from './cylinder';
export { DRYING_FORMULAS, clearBy } from './drying';
export { ROLL_FORMULAS, type RollWarming, rollWarming } from './roll';

export { type Air, type Never, type Wait, type WaitKey, type WaitState, waitStateOf } from './wait';
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
