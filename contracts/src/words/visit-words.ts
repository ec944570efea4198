import type { VisitKind, VisitReason } from '@yellow-pane/core/job';

const REASONS: Readonly<Record<VisitKind, string>> = {
  'pockets gone?': 'Are the pockets gone',
  'edges, second look': 'Second look at the edges',
  'sealant back': 'Sealant goes back',
  'first cleaning': 'May be washed for the first time',
  'test piece': 'Look at the test piece',
  'put back': 'Parts go back on',
  'warm the room': 'Keep the room warm',
  'put right': 'Put marks right',
  other: 'Asked to come by',
};
/** One reason. */
export const visitReasonWords = (kind: VisitKind): string => REASONS[kind];

const MOST_TAGS = 8;

/** Why somebody comes back: a line a reason, with the surfaces it is for. */
export function visitLines(
  reasons: readonly Pick<VisitReason, 'kind' | 'surfaceId'>[],
  tagOf: (surfaceId: string) => string | undefined,
): readonly string[] {
  const tags = new Map<string, Set<string>>();
  for (const { kind, surfaceId } of reasons) {
    const own = tags.get(REASONS[kind]) ?? new Set();
    const tag = surfaceId === null ? undefined : tagOf(surfaceId);
    if (tag !== undefined) own.add(tag);
    tags.set(REASONS[kind], own);
  }
  return [...tags].map(([word, own]) => {
    if (own.size === 0) return word;
    const more = own.size - MOST_TAGS;
    return `${word}: ${[...own].slice(0, MOST_TAGS).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
  });
}
