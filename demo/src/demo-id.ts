const ROOMS = {
  session: 1,
  change: 2,
  job: 3,
  place: 4,
  unit: 5,
  pane: 6,
  surface: 7,
  measure: 8,
  application: 9,
  plan: 10,
  piece: 11,
  work: 12,
  film: 13,
  part: 14,
  facts: 15,
  brief: 16,
  roll: 17,
  cutRoll: 18,
  day: 19,
  crew: 20,
  person: 21,
  inspection: 22,
  lookTick: 23,
  mark: 24,
  decision: 25,
  visit: 26,
  causeCase: 27,
} as const;

/** A fixed UUIDv7 for the n-th demo row of a kind, so that links into the demo stay the same. */
export function demoId(kind: keyof typeof ROOMS, n: number): string {
  return `0199b9a6-${ROOMS[kind].toString(16).padStart(4, '0')}-7000-8000-${n.toString(16).padStart(12, '0')}`;
}
