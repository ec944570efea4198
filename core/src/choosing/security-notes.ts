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

/** What a safety or security film does here and what not. @returns sentences; none for other families */
export function securityNotes(
  { family, thickness_um, claims }: Pick<Film, 'family' | 'thickness_um' | 'claims'>,
  edge: 'sealant' | 'gasket' | 'rebate' | 'exposed' | 'unknown',
): readonly string[] {
  if (family !== 'security') return [];
  return [
    'On the room side of the inner pane: it holds the pieces together and the hole shut for a while.',
    thickness_um < THIN_UM
      ? `${thickness_um} µm: against splinters. It does not delay a break-in.`
      : `${thickness_um} µm: delays, does not stop, someone who wants in.`,
    edge === 'exposed'
      ? 'The edge is open: film can reach it.'
      : 'Film that ends at the frame (daylight fit) holds the pieces together; to hold the pane in its frame the film must reach under the bead, or its edge be fixed. The edge fails first.',
    ...(claims === '' ? [] : [`Its maker names: ${claims}. ${CLASS_CAUTION}`]),
  ];
}
