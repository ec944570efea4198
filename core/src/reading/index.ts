export { type ChosenFilm, chosenFilm, methodsAfterShape } from './chosen-film';
export { type BlankToday, blankBy, blankOf, seamOf } from './blank';
export { type ChangedAfterCut, allChangedAfterCut, changedAfterCut, isStale } from './cut-already';
export {
  type DayAsked,
  type PlaceClock,
  dayProblemOf,
  daySurfaces,
  filmedSurfaces,
  keptPlan,
  peopleOf,
  stretchKey,
} from './day';
export { type Extent, extentOf } from './extent';
export {
  type FilmBlank,
  type MissingBlank,
  applicationOfKey,
  blankKey,
  blanksOfFilm,
  notLaid,
} from './film-blanks';
export {
  type CutSettings,
  STAGES,
  begunIds,
  cutSettingsOf,
  cuttingRates,
  filmOrder,
  isBegun,
  lotsApart,
  planOfFilm,
} from './film-order';
export { filmWorth, newRollLength, orderKey, pricePerSquare, stockFilms, stockOfFilm } from './film-stock';
export { offcutsLeft } from './offcuts';
export { outlineOnPlan } from './flat-outline';
export {
  type CaseOfShop,
  type Experience,
  type FilmOfShop,
  type JobRows,
  type PersonOfShop,
  type PocketSeen,
  type Shop,
  EMPTY_SHOP,
  jobRows,
} from './job-rows';
export { type AnewNeeds, anewNeeds } from './anew-needs';
export { type QuoteGuess, type QuoteHere, type QuoteLine, type QuoteOpen, quoteHere } from './quote-here';
export { inEnd } from './in-the-end';
export { pocketsSeen } from './pockets-seen';
export { JobView } from './job-view';
export { airOf, briefFor, isOfVehicle, placesOutwards, standingPlace } from './place';
export { handPlacedOf, handRollOf, keptOutline, turnedByHand } from './placed-by-hand';
export { lengthBoundOf, lengthBoundRequest, lengthOfLayout, planFigures, planRows } from './plan-rows';
export {
  type NextThing,
  type Progress,
  type SurfaceProgress,
  countProgress,
  isLaid,
  jobProgress,
  surfaceProgress,
  whatNext,
} from './progress';
export { hoursOpen, hoursWithoutForecast, isBeyondForecast } from './hours-open';
export {
  type Drying,
  type JudgedMark,
  type JudgedSurface,
  type MarksAsked,
  laidAt,
  markHash,
  marksJudged,
} from './marks';
export { type FaceOfSurface, faceOfSurface } from './face-of-surface';
export { type CaseAnswers, type CauseHere, causeApart, causeOf } from './causes';
export { type JudgedAt, type SeenOnMark, seenOnMark } from './cause-record';
export { type Checked, checkedOf, verdictOfSurface } from './checked';
export { type OnFront, frontOf } from './front';
export { type LightHere, lightHere } from './light';
export { type PhotoPair, areaInPhoto, becameOf, pairOf, photosOfMark, wholeViews } from './photo-pairs';
export { type Redo, filmOfMark, redoOf } from './redo';
export { type RoundHere, roundHere, viewsOf } from './round';
export { type SetOfJob, ruleSetFor, ruleSetsOf, rulesOfSet } from './rule-sets';
export { type KeptVisit, type VisitsOfJob, returnAsks, visitsOf } from './visits';
export { linerOf } from './liner';
export { type StrokeRow, type StrokeTool, ownStrokesOf, strokeToolOf } from './stroke-tool';
export {
  type NoStrokes,
  type StrokeCase,
  type StrokeMoment,
  type StrokesToday,
  type StrokesWanted,
  faceSeen,
  strokesOf,
} from './strokes';
export { trimOf } from './trim';
export { type FitNow, fitNow } from './fit-now';
export {
  type ReadyAnswer,
  type ReadyAsk,
  USUAL_AIR,
  indoorAir,
  readinessLimits,
  readyAsks,
} from './readiness';
export { type ReadyBook, newReadyBook, readyAnswers } from './ready-answers';
export { type DaysFrom, type FilmDates, type Sky, NO_SKY, climateOf, filmDates } from './film-dates';
export { type NotOrdinary, type PocketNow, pocketNow } from './pocket-now';
export { type PromisedTwice, promisedTwice, spokenForElsewhere } from './spoken-for';
export { type RollTrial, type SeamSum, rollTrials, seamedOtherwise, widestRoll_nm } from './roll-trials';
export { type NotReadBack, pinsOfPlan } from './plan-read-back';
export { needsLayout } from './needs-layout';
export {
  type StateAtStop,
  stateAtCheck,
  stateAtCut,
  stateAtFilm,
  stateAtFit,
  stateAtSurvey,
} from './state-at-stop';
export {
  type MeasureState,
  checkOf,
  checked,
  determinedWithin_mm,
  isMeasured,
  measureState,
  surfaceRowsOf,
} from './surface';
export { type DayOnPaper, dayOnPaper, hazardsOf } from './day-on-paper';
export {
  doneSteps,
  isWayKnown,
  nextAlike,
  openElsewhere,
  schoolsOf,
  stepsLeftOutOf,
  stillToDoWith,
  ticksBeside,
  workCaseOf,
  workStepsOf,
} from './work';
export { type DoneStep, type FitRecord, fitRecordOf } from './fit-record';
export { type GateAsked, type GateLine, gateOf } from './gate';
export { type Held, type HeldAsked, heldNow } from './held';
export { type Handed, type MyTurn, type Turn, handedToMe, myTurn } from './my-turn';
export { type PendingWait, isPending, pendingState, pendingWaits, waitBefore } from './pending-waits';
export { type SunNow, sunNow } from './sun-now';
export { slipBoundsOf, slipMixed } from './slip';
export { type RowLine, rowLineOf } from './row-line';
export { type AskReady, type Asking, type JobAnswers, jobAnswers } from './answers';
export { type OtherCurve, type StrainVerdict, otherCurvesOf } from './other-curves';
export { shrinkLimitsOf, shrunkBy, stripsOf } from './film-limits';
export {
  type NoShrink,
  type PaneShrink,
  type ShrinkToday,
  flatFilmOf,
  hasWishes,
  holdOf,
  isCurvedGlass,
  isShrunk,
  lineSeenFrom,
  shrinkBy,
  shrinkOf,
  shrinkWithFilm,
} from './shrink';
export { type FilmSwap, filmsSwapped } from './about';
export { type CareKey, CARE_KEYS, careOf } from './care';
export { foundOnArrival } from './arrival-here';
export { type HandOverAsked, handOverNow, stillOpen } from './hand-over';
export { type AccountHere, type AccountLine, type AccountSum, accountHere } from './account-here';
export {
  type PaperTerms,
  type QuoteState,
  type SummedBy,
  acceptedQuote,
  quotePaper,
  quoteState,
  groupedLines,
} from './quote-paper';
export { type DonePlace, doneUpTo } from './done-up-to';
export { type EnquiredRows, enquiredRows, enquiredView } from './enquired';
export { type HalfDay, nextHalfDay } from './half-day';
export { type CloseState, closeState } from './close-state';
export {
  type Agreed,
  type AskedFor,
  type MoneyAsked,
  type LineToAsk,
  type MoneyStands,
  agreedOf,
  linesToAsk,
  moneyStands,
} from './to-ask';
