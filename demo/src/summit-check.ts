import type { Op } from '@yellow-pane/contracts';
import { TABLE_VERSION } from '@yellow-pane/core/diagnosing';
import { NEW_MARK, type MarkLook, type MarkVerdict, type RowOf, type VisitKind } from '@yellow-pane/core/job';
import { RULE_SETS } from '@yellow-pane/core/judging';
import { nmFromMm } from '@yellow-pane/core/quantity';
import { type JobView, causeApart, markHash, roundHere, viewsOf } from '@yellow-pane/core/reading';
import { demoId } from './demo-id';
import { viewOfOps } from './rows-of-ops';

/** The first window of the shelter among all surfaces. */
const FIRST = 900;
/** Looked at on the day after the work; the third window again once it was made anew. */
const LOOKED_AT = [
  '2026-06-12T09:10:00.000Z',
  '2026-06-12T09:40:00.000Z',
  '2026-11-10T08:30:00.000Z',
] as const;
const REDONE_AT = '2026-11-09T13:40:00.000Z';
const POCKETS_UNTIL = '2027-03-18T13:40:00.000Z';
const WREN = demoId('person', 1);
const by = (at: string) => ({ personId: WREN, who: 'Wren', at });
const surface = (n: number): string => demoId('surface', FIRST + n);
const film = (n: number): string => demoId('application', FIRST + n);

interface Seen {
  readonly window: number;
  readonly look: MarkLook;
  readonly at_mm: readonly [x: number, y: number];
  readonly size_mm: number;
  readonly length_mm?: number;
  readonly seenAt: string;
  readonly goneAt?: string;
  readonly verdict: MarkVerdict;
  readonly by?: 'an eye';
  readonly reason: string;
  readonly from?: 'customer';
}

const [FIRST_LOOK, SECOND_LOOK, LAST_LOOK] = LOOKED_AT;
/** Six kinds, and one more: accepted, put right, redone, watched. */
const SEEN: readonly Seen[] = [
  {
    ...{ window: 0, look: 'speck', at_mm: [420, 310], size_mm: 0.2, seenAt: FIRST_LOOK },
    ...{ verdict: 'accept', reason: 'From there nothing under 0.32 mm of that contrast is seen.' },
  },
  {
    ...{ window: 0, look: 'air bubble', at_mm: [760, 880], size_mm: 6, seenAt: FIRST_LOOK },
    ...{ verdict: 'fix now', reason: 'Hands can still put it right.', goneAt: '2026-06-12T09:35:00.000Z' },
  },
  {
    ...{
      window: 1,
      look: 'film scratch',
      at_mm: [300, 640],
      size_mm: 0.2,
      length_mm: 18,
      seenAt: SECOND_LOOK,
    },
    ...{ verdict: 'accept', by: 'an eye', reason: 'Looked at from there: it is not obtrusive.' },
  },
  {
    ...{ window: 1, look: 'edge lifts', at_mm: [1004, 1180], size_mm: 9, seenAt: SECOND_LOOK },
    ...{ verdict: 'fix now', reason: 'Hands can still put it right.', goneAt: '2026-06-20T10:05:00.000Z' },
  },
  {
    ...{ window: 2, look: 'crease', at_mm: [510, 200], size_mm: 4, length_mm: 160, from: 'customer' },
    ...{ seenAt: '2026-11-02T16:20:00.000Z', verdict: 'redo', by: 'an eye', goneAt: REDONE_AT },
    reason: 'Looked at from there: it is obtrusive.',
  },
  {
    ...{
      window: 2,
      look: 'water pocket',
      at_mm: [640, 770],
      size_mm: 8,
      seenAt: LAST_LOOK,
      verdict: 'watch',
    },
    reason: 'Water under the film dries by itself until its date.',
  },
  {
    ...{ window: 2, look: 'line', at_mm: [220, 450], size_mm: 0.1, length_mm: 5, seenAt: LAST_LOOK },
    ...{ verdict: 'accept', by: 'an eye', reason: 'Looked at from there: it is not obtrusive.' },
  },
];

/** Of the rows so far: the round of each window, its marks with what was decided, and the visits. */
export function summitCheckOps(made: readonly Op[]): readonly Op[] {
  const view = viewOfOps(made);
  const [set] = RULE_SETS;
  if (set === undefined) return [];
  return [
    ...LOOKED_AT.flatMap((at, n) => roundOps(view, n, at)),
    ...SEEN.flatMap((own, n) => markOps(own, n)),
    ...visitOps(),
    causeOp(),
  ];
}

function roundOps(view: JobView, n: number, at: string): readonly Op[] {
  const [set] = RULE_SETS;
  const round = set && roundHere(view, surface(n), set);
  if (set === undefined || round === undefined) return [];
  const inspectionId = demoId('inspection', n + 1);
  return [
    {
      op: 'put',
      table: 'inspection',
      id: inspectionId,
      fields: {
        ...{ surfaceId: surface(n), ruleSetId: null, setName: set.name, setVersion: set.version },
        ...{ distance_mm: set.distance_m * 1000, light: set.light, views: viewsOf(round) },
        ...{ inputsHash: round.faceHash, begun: by(at), accepted: n === 2 ? null : by(at) },
      },
    },
    ...round.pieces.map(({ view: from, number }, index): Op => ({
      op: 'put',
      table: 'lookTick',
      id: demoId('lookTick', n * 100 + index + 1),
      fields: { inspectionId, view: from, strip: number, said: by(at) },
    })),
  ];
}

function markOps(own: Seen, n: number): readonly Op[] {
  const [set] = RULE_SETS;
  const id = demoId('mark', n + 1);
  const fields = {
    ...NEW_MARK,
    ...{ surfaceId: surface(own.window), applicationId: film(own.window), look: own.look },
    ...{ x_nm: nmFromMm(own.at_mm[0]), y_nm: nmFromMm(own.at_mm[1]), size_nm: nmFromMm(own.size_mm) },
    length_nm: own.length_mm === undefined ? null : nmFromMm(own.length_mm),
    ...{ firstSeenAt: own.seenAt, from: own.from ?? ('check' as const), goneAt: own.goneAt ?? null },
  };
  return [
    { op: 'put', table: 'mark', id, fields },
    {
      op: 'put',
      table: 'markDecision',
      id: demoId('decision', n + 1),
      fields: {
        ...{ markId: id, inspectionId: demoId('inspection', own.window + 1), verdict: own.verdict },
        ...{ by: own.by ?? 'the rules', reason: own.reason },
        under: set === undefined ? '' : `${set.name}, version 1; ${set.light}; ${set.distance_m} m`,
        inputsHash: set === undefined ? '' : markHash(fields as unknown as RowOf<'mark'>, set),
        watchUntil: own.verdict === 'watch' ? POCKETS_UNTIL : null,
        said: by(own.seenAt),
      },
    },
  ];
}

/** Why an edge of the second window lifted: found out when it was put right. */
function causeOp(): Op {
  const answers = [{ evidence: 'feel', state: 'gritty or rubbery' }];
  const own = { id: '', look: 'liftingEdge', answers, confirmed: null, how: null, remedy: null } as const;
  return {
    op: 'put',
    table: 'causeCase',
    id: demoId('causeCase', 1),
    fields: {
      ...{ markIds: [demoId('mark', 4)], look: 'liftingEdge', answers, tableVersion: TABLE_VERSION },
      ...{ posterior: causeApart('liftingEdge', own, []).raw, confirmed: 'dirtOrSealant', how: 'seen' },
      ...{ remedy: null, said: by('2026-06-20T10:05:00.000Z') },
    },
  };
}

/** Two that were made, and one that is due. */
function visitOps(): readonly Op[] {
  const reason = (kind: VisitKind, n: number, key: string, markId: string | null = null) => ({
    ...{ key, kind, surfaceId: surface(n), applicationId: film(n), markId },
  });
  const ofFilm = (kind: VisitKind, windows: readonly number[]) =>
    windows.map((n) => reason(kind, n, `${kind} ${film(n)}`));
  const pocket = demoId('mark', 6);
  return [
    visitOp(1, {
      reasons: [...ofFilm('edges, second look', [0, 1]), ...ofFilm('first cleaning', [0, 1])],
      plannedAt: '2026-07-14T07:00:00.000Z',
      state: 'done',
    }),
    visitOp(2, {
      reasons: ofFilm('edges, second look', [2]),
      plannedAt: '2026-11-16T08:00:00.000Z',
      state: 'done',
    }),
    visitOp(3, {
      reasons: [reason('pockets gone?', 2, `pockets ${pocket}`, pocket), ...ofFilm('first cleaning', [2])],
      plannedAt: '2027-03-19T08:00:00.000Z',
      state: 'open',
    }),
  ];
}

const visitOp = (
  n: number,
  own: Pick<RowOf<'visit'>, 'reasons' | 'state'> & { readonly plannedAt: string },
): Op => ({
  op: 'put',
  table: 'visit',
  id: demoId('visit', n),
  fields: { ...own, notBefore: own.plannedAt, due: null, people: ['Wren'], note: '' },
});
