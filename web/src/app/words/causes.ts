import { type CALLER_SEES, type CallAnswer, type Calibration } from '@yellow-pane/core/diagnosing';
import type { DiagnosedLook } from '@yellow-pane/core/job';
import type { CauseHere } from '@yellow-pane/core/reading';
import type { Figure, Messages } from './messages';

const LOOKS: Readonly<Record<DiagnosedLook, string>> = {
  waterPocket: 'bubble under film laid wet',
  dryBubbles: 'bubbles under film laid dry',
  liftingEdge: 'edge that lifts',
  finger: 'finger at the edge',
  nib: 'speck under the film',
  crease: 'crease',
  glueLine: 'line in the glue',
  lightGap: 'gap at the edge',
  scratch: 'scratch',
  haze: 'haze',
  jointTrap: 'bubble at a joint of a wall',
  seamOpen: 'seam that opens',
  glassCrack: 'crack in the glass',
};
const SEES: Readonly<Record<(typeof CALLER_SEES)[number], string>> = {
  'a crack in the glass': 'A crack in the glass',
  'bubbles or haze': 'Bubbles, water or haze',
  'film comes off': 'Film comes off',
  'something else': 'Something else',
};
const VERDICTS: Readonly<Record<CallAnswer['says'], string>> = {
  normal: 'That is normal',
  'come by': 'We come by',
  'stop using it': 'Stop using it',
};
const SAY: Readonly<Record<CallAnswer['why'], string>> = {
  'a licensed glazier decides':
    '“Keep people away from it and do not open it. A licensed glazier looks at it before anybody else does.” Say nothing of who is to blame.',
  'loose film in the way':
    '“Do not use that door or pane, do not pull at the film and do not cut it. We come as soon as we can.”',
  'it dries by itself':
    '“Water under the film dries by itself. Leave it alone, do not press and do not prick it.”',
  'past its days': '“By now it should be dry. Leave it alone until we have looked at it.”',
  'nobody knows when it was laid':
    '“Please look up when it was laid. Until then leave it alone; we come by and look.”',
  'it gets worse': '“It should not get worse. Leave it alone; we come by and look.”',
  'to be looked at': '“Leave it as it is and send a picture if you can. We come by and look.”',
};

export const causesWords = {
  whyThere: 'Why is it there?',
  glazierDecides: 'Stop: a licensed glazier decides. This explains, it blames nobody.',
  causeIs: (cause: string, tenths: Figure) => `${cause} (${tenths} in 10)`,
  causesAre: (says: CauseHere['says'], first: string, others: readonly string[]) =>
    says === 'cannot say'
      ? `Cannot say yet: ${[first, ...others].join(', ')}.`
      : `${says === 'probably' ? 'Probably' : 'Probably two together, first'} ${first}. Then: ${others.join(', ')}.`,
  answerSays: (question: string, answer: string, strength: string) => `${question} ${answer}: ${strength}.`,
  answeredWith: (question: string, answer: string) => `${question} ${answer}.`,
  nothingMoreToAsk: 'Nothing more is worth the asking.',
  sayMore: 'Say what else is known',
  takeAnswerBack: 'Take back',
  whatMends: 'What mends it, by what it costs on average',
  remedyIs: (remedy: string, tenths: Figure, minutes: Figure) =>
    `${remedy}: helps ${tenths} in 10, about ${minutes} min with the redo where it does not.`,
  anewTakes: (minutes: Figure, people: number, from: string, isSameLot: boolean) =>
    `Relaying it takes about ${minutes} min, ${people === 1 ? 'one person' : `${people} people`}; ${
      from === ''
        ? 'nothing in stock is large enough.'
        : `${from} in stock is large enough, ${isSameLot ? 'of the same lot' : 'of another lot: its tone may differ'}.`
    }`,
  lookLater: (question: string, states: string) => `Later: ${question} ${states}.`,
  itWas: 'What it was in the end',
  remedyNamed: 'Which remedy worked?',
  several: (tenths: Figure) => `${tenths} in 10 that more than one of them fired.`,
  ourJudgement:
    'Chances are our judgement, to order questions; confirmed causes overwrite them. Never surer than 8 in 10 while few are confirmed.',
  causeAnswered: (number: Figure) => `Mark ${number}: why it is there`,
  causeConfirmed: (number: Figure) => `Mark ${number}: what it was`,
  allJobs: 'All jobs',
  look: (look: DiagnosedLook) => LOOKS[look],
  pageTitle: 'Why is it there?',
  pageSays: 'For work of others, and for what is in no job: pick what it looks like, answer, keep it.',
  whatLook: 'What does it look like?',
  otherLook: 'Something else',
  where: 'Whose work, where, what film',
  keepCase: 'Keep this case',
  caseKept: 'Kept.',
  keptCases: 'Kept cases',
  caseIs: (look: string, where: string, confirmed: string) =>
    `${look}${where === '' ? '' : `, ${where}`}${confirmed === '' ? '' : `: it was ${confirmed}`}`,
  takeOut: 'Take out',
  calibration: 'Was the certainty deserved?',
  calibrationSays: (own: Calibration) =>
    own.says === 'too few to say'
      ? `${own.cases} ${own.cases === 1 ? 'case' : 'cases'} confirmed: too few to say, from 40 on.`
      : `${own.cases} cases: ${own.says === 'deserved' ? 'it was deserved' : `it was ${own.says}`}.`,
  brier: (score: number) =>
    `Mean square of what was claimed against what came: ${score.toFixed(2)}; 0 is right and certain, 0.25 a coin (Brier 1950).`,
  zIs: (z: number) => `Z ${z.toFixed(2)}: past 1.96 either way it was not deserved (Spiegelhalter 1986).`,
  lambdaIs: (lambda: number) => `Answers are believed ${lambda} times.`,
  binIs: (from: number, to: number, cases: Figure, came: Figure, least: number, most: number) =>
    `Claimed ${Math.round(10 * from)} to ${Math.round(10 * to)} in 10: came ${came} of ${cases} (${Math.round(100 * least)} to ${Math.round(100 * most)} %).`,
  call: 'Somebody calls',
  callSays: 'Three questions, then what to say.',
  sees: 'What do you see?',
  seesWord: (sees: (typeof CALLER_SEES)[number]) => SEES[sees],
  whenLaid: 'When was it laid?',
  underWeek: 'under a week ago',
  underMonth: 'within a month',
  overMonth: 'longer ago',
  notKnown: 'not known',
  inTheWay: 'Is it loose on a door, in the way, on a vehicle, or on glass that must hold?',
  getsWorse: 'Does it get worse from day to day?',
  yes: 'Yes',
  no: 'No',
  answer: (says: CallAnswer['says']) => VERDICTS[says],
  sayThis: (why: CallAnswer['why']) => SAY[why],
  driesUntil: (days: Figure) =>
    `Pockets may dry for ${days} days, by custom; with the job, by its own glass.`,
  anotherCall: 'Another call',
  isOurs: 'Is it our work? To which job does it go?',
  toJob: (job: string) => `To ${job}`,
  fromPhone: (sees: string, days: string) =>
    `On the phone: ${sees.toLowerCase()}${days === '' ? '' : `, laid ${days}`}.`,
  putOn: (tag: string) => `Put it on ${tag}, with a visit`,
  putOnOnly: (tag: string) => `Put it on ${tag}`,
  notHere: 'Not here after all',
  called: (tag: string) => `${tag}: told on the phone`,
  whichSurface: 'Which surface? Pick it on the left.',
  jobsOffline: 'The server does not answer: the jobs are not known.',
} satisfies Messages;
