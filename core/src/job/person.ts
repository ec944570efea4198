/** What a person can be asked to do. */
export const SKILLS = ['film', 'heat'] as const;
export type Skill = (typeof SKILLS)[number];

/** Somebody of the shop. Every record says by whose hand it is: the person, and the name as it was then. */
export interface Person {
  readonly name: string;
  readonly initials: string;
  /** The hand that holds the blade; null: nobody has said. */
  readonly hand: 'left' | 'right' | null;
  readonly skills: readonly Skill[];
  /** How far the hand strays from a line led by eye, one standard deviation; null: not measured. */
  readonly wander_mm: number | null;
  /** False: no longer in the shop, but still on the records. */
  readonly active: boolean;
}

/** @returns a person of whom only the name is known, who is taken to do everything */
export function newPerson(name: string): Person {
  return {
    name,
    initials: initialsOf(name),
    hand: null,
    skills: SKILLS,
    wander_mm: null,
    active: true,
  };
}

/** The first letters of the first three words of a name, such as `WR` of `Wren Reed`. */
export function initialsOf(name: string): string {
  return name
    .trim()
    .split(/\s+/)
    .slice(0, 3)
    .map((word) => /^./u.exec(word)?.[0] ?? '')
    .join('')
    .toUpperCase();
}
