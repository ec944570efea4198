import { type RowOf, type StrokeChanges, STROKES_AS_CALCULATED, isShrinkChanges } from '../../job';
import { type Reasoned, mmFromNm } from '../../quantity';
import { RULES } from '../../rules';
import { type Pace, type Tool, lapFor } from '../../strokes';
import type { JobView } from '../view/job-view';

/** As far as strokes ask about a film on a surface. */
type Pressed = Pick<RowOf<'application'>, 'id' | 'method'>;

/** What a person wants otherwise of the strokes of a film, as it is kept. */
export type StrokeRow = RowOf<'ownPlan'> & { readonly changes: StrokeChanges };

/** The last that was kept. */
export function ownStrokesOf(view: JobView, applicationId: string): StrokeRow | undefined {
  return view.rows.ownPlan.findLast(
    (own): own is StrokeRow => own.applicationId === applicationId && !isShrinkChanges(own.changes),
  );
}

/** The blade in hand, how far its strokes lap, and how fast it goes. */
export interface StrokeTool {
  readonly tool: Tool;
  /** How far a hand like this must lap; undefined: the way itself says how far. */
  readonly lap: Reasoned<number> | undefined;
  readonly wander_mm: number;
  /** Whose hand was measured; undefined: nobody's, a guess. */
  readonly wanderOf: string | undefined;
  readonly pace: Pace;
}

/**
 * @param personId who presses; left out: whoever of the crew strays most
 * @param wanted what a person tries just now, instead of what is kept
 */
export function strokeToolOf(
  view: JobView,
  { id, method }: Pressed,
  personId?: string,
  wanted?: StrokeChanges,
): StrokeTool {
  const { blade_nm, overlap_nm } = wanted ?? ownStrokesOf(view, id)?.changes ?? STROKES_AS_CALCULATED;
  const hand = handOf(view, personId);
  const lap = lapFor(hand.wander_mm);
  const isColumn = method === 'column';
  const ofWay = isColumn
    ? RULES.columnTurnLap.value
    : method === 'textured wall'
      ? RULES.wallLap.value
      : undefined;
  return {
    tool: {
      blade_mm:
        blade_nm === null
          ? isColumn
            ? RULES.columnTurn.value
            : view.learned('stroke-blade')
          : mmFromNm(blade_nm),
      overlap_mm: overlap_nm === null ? (ofWay ?? lap.value) : mmFromNm(overlap_nm),
      card_mm: view.learned('stroke-card'),
    },
    lap: ofWay === undefined ? lap : undefined,
    ...hand,
    pace: { speed_mms: view.learned('stroke-speed'), lift_s: view.learned('stroke-lift') },
  };
}

/** The hand that presses; where nobody is named, the one of the crew that strays most. */
function handOf(view: JobView, personId: string | undefined): Pick<StrokeTool, 'wander_mm' | 'wanderOf'> {
  const named = personId === undefined ? [] : [personId];
  const people = (personId === undefined ? view.crew.map((own) => own.personId ?? '') : named).flatMap(
    (id) => {
      const person = view.personById.get(id);
      return person === undefined || person.wander_mm === null
        ? []
        : [{ wander_mm: person.wander_mm, wanderOf: person.name }];
    },
  );
  const [widest] = people.toSorted((a, b) => b.wander_mm - a.wander_mm);
  return widest ?? { wander_mm: view.learned('stroke-wander'), wanderOf: undefined };
}
