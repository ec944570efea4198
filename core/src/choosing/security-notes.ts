import type { Film } from '../job';

/**
 * Names of published test classes, and no more: only the tested system of glass, film and fixing carries one.
 */
export const IMPACT_CLASSES: readonly {
  readonly standard: string;
  readonly classes: string;
  readonly about: string;
}[] = [
  {
    standard: 'EN 12600',
    classes: '1B · 2B · 3B',
    about: 'pendulum: how glass breaks when a body strikes it',
  },
  { standard: 'EN 356', classes: 'P1A – P5A · P6B – P8B', about: 'thrown ball; axe' },
  { standard: 'ANSI Z97.1', classes: 'A · B', about: 'impact of a body' },
  { standard: '16 CFR 1201', classes: 'I · II', about: 'impact of a body' },
  { standard: 'ISO 16933 / GSA', classes: 'by hazard level', about: 'blast' },
];
export const CLASS_CAUTION =
  'A class belongs to the tested system of glass, film and fixing alone. Film on other glass, or otherwise fixed, carries none.';
const THIN_UM = 100;

export type SecurityNote =
  | { readonly case: 'holds the pieces together' }
  | { readonly case: 'against splinters'; readonly thickness_um: number }
  | { readonly case: 'delays a break-in'; readonly thickness_um: number }
  | { readonly case: 'open edge' }
  | { readonly case: 'daylight fit' }
  | { readonly case: 'its maker names'; readonly claims: string };

/** What a safety or security film does here and what not; nothing for other families. */
export function securityNotes(
  { family, thickness_um, claims }: Pick<Film, 'family' | 'thickness_um' | 'claims'>,
  edge: 'sealant' | 'gasket' | 'rebate' | 'exposed' | 'unknown',
): readonly SecurityNote[] {
  if (family !== 'security') return [];
  return [
    { case: 'holds the pieces together' },
    { case: thickness_um < THIN_UM ? 'against splinters' : 'delays a break-in', thickness_um },
    { case: edge === 'exposed' ? 'open edge' : 'daylight fit' },
    ...(claims === '' ? [] : [{ case: 'its maker names', claims } as const]),
  ];
}
