export {
  type GateCase,
  type GateCheck,
  type GateFound,
  type GateKey,
  type GateKnown,
  type GateState,
  gateFor,
  gateState,
  isClosedBy,
} from './gate';
export { type LockState, type WaitLock, isLocked, lockAfter, lockState } from './lock';
export { type WetClock, wetClock } from './wet-clock';
export { clockDigits } from './clock-said';
export { READING_KINDS, type ReadingKind, type TypedReading, readReading, unitShown } from './reading-range';
